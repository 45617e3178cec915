// Where an item stands: the pages and entries that show it, and the sealed copies that hold it.
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { textIn } from '@valise/core/people'
import { screenOf } from '@valise/core/things'
import type { Use } from '@valise/core/things'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { thingQueries, useThingWords } from '../../things/index.ts'
import styles from './Fields.module.css'

export function EvidenceUses({ id }: { readonly id: string }) {
  const { t, i18n } = useTranslation('evidence')
  const words = useThingWords()
  const titleOf = (use: Use) =>
    use.kind === 'submission'
      ? t('drawer.handedInFor', { title: textIn(use.title, i18n.language) })
      : words.title(use)
  const { data: uses } = useQuery(thingQueries.uses(id))
  if (!uses) return null
  if (uses.length === 0) return <>{t('drawer.usedNowhere')}</>
  return (
    <ul className={styles.uses}>
      {uses.map((use) => (
        <li key={use.id}>
          <Link component={RouterLink} to={addressOf(use)}>
            {titleOf(use)}
          </Link>
        </li>
      ))}
    </ul>
  )
}

function addressOf({ kind, id }: Use): string {
  return kind === 'submission' ? `/submissions/${id}` : screenOf(kind, id)
}
