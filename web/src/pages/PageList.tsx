// Pages as rows; the line at the left says how firmly each is held.
import Link from '@mui/material/Link'
import type { PageRow } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { useWhen } from '../ui/useWhen.ts'
import styles from './PageList.module.css'

export function PageList({ items }: { readonly items: readonly PageRow[] }) {
  const { t } = useTranslation('things')
  const when = useWhen()
  const stateOf = ({ publishedAt, isNewer }: PageRow) => {
    if (publishedAt === null) return t('pages.draft')
    const date = when.date(publishedAt)
    return t(isNewer ? 'pages.newer' : 'pages.published', { date })
  }
  return (
    <ul className={styles.list}>
      {items.map((page) => (
        <li
          key={page.id}
          data-held={page.publishedAt === null ? 'stitched' : page.isNewer ? 'both' : 'solid'}
        >
          <Link component={RouterLink} to={`/pages/${page.id}`}>
            {page.title || t('pages.untitled')}
          </Link>
          <span className={styles.state}>{stateOf(page)}</span>
          <span className={styles.changed}>{t('pages.changed', { time: when.dayTime(page.changedAt) })}</span>
        </li>
      ))}
    </ul>
  )
}
