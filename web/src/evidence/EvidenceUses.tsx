// Where an item stands: the pages and entries that show it.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import type { Use } from '@valise/core/pages'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { pageQueries } from '../pages/queries.ts'
import styles from './Fields.module.css'

export function EvidenceUses({ id }: { readonly id: string }) {
  const { t } = useTranslation('evidence')
  const { data: uses } = useQuery(pageQueries.uses(id))
  if (!uses) return null
  if (uses.length === 0) return <>{t('drawer.usedNowhere')}</>
  return (
    <ul className={styles.uses}>
      {uses.map((use) => (
        <li key={use.id}>
          <Link component={RouterLink} to={addressOf(use)}>
            {use.title || t(`drawer.untitled.${use.kind}`)}
          </Link>
        </li>
      ))}
    </ul>
  )
}

function addressOf({ kind, id }: Use): string {
  return kind === 'page' ? `/pages/${id}` : `/entries/${id}`
}
