// News as dated sentences, newest first.
import Link from '@mui/material/Link'
import type { NewsItem } from '@valise/core/feedback'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useWhen } from '../ui/useWhen.ts'
import { useNewsWords } from './useNewsWords.ts'
import styles from './NewsList.module.css'

export function NewsList({ items }: { readonly items: readonly NewsItem[] }) {
  const { t } = useTranslation('feedback')
  const words = useNewsWords()
  const when = useWhen()
  if (items.length === 0) return <p className={styles.empty}>{t('news.empty')}</p>
  return (
    <ol className={styles.list}>
      {items.map((item) => (
        <li key={item.id}>
          <p className={styles.sentence}>
            {words(item)} <Way item={item} />
          </p>
          <p className={styles.when}>
            {when.dayTime(item.at)}
            {item.seen ? null : <b className={styles.fresh}>{t('news.new')}</b>}
          </p>
        </li>
      ))}
    </ol>
  )
}

/** The way to what the news is of, where there is one. */
function Way({ item: { kind, params } }: { readonly item: NewsItem }) {
  const { t } = useTranslation('feedback')
  if (kind !== 'opened-to-me') return null
  return (
    <Link component={RouterLink} to={`/${params['kind']}s/${params['thingId']}`}>
      {t('news.look')}
    </Link>
  )
}
