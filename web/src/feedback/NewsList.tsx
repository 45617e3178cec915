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
  const to = linkTo(kind, params)
  if (to === null) return null
  return (
    <Link component={RouterLink} to={to}>
      {t('news.open')}
    </Link>
  )
}

function linkTo(kind: NewsItem['kind'], params: NewsItem['params']): string | null {
  if (kind === 'shared-with-me') return `/${params['kind']}s/${params['thingId']}`
  // What was not sealed is handed in again where it was handed in.
  if (kind === 'assignment-set' || kind === 'sealing-failed') return `/assignments/${params['assignmentId']}`
  return params['submissionId'] === undefined ? null : `/submissions/${params['submissionId']}`
}
