// News as dated sentences, newest first.
import Link from '@mui/material/Link'
import type { NewsItem } from '@valise/core/news'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useWhen } from '../ui/useWhen.ts'
import { useNewsWords } from './useNewsWords.ts'
import styles from './NewsList.module.css'
import { newsWordsOf } from './wordsByKind.ts'

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
  const to = newsWordsOf(kind).linkTo(params)
  if (to === null) return null
  return (
    <Link component={RouterLink} to={to}>
      {t('news.open')}
    </Link>
  )
}
