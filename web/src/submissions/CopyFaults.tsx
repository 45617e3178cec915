// What of a sealed copy does not verify, for whoever reads it and for whoever handed it in.
import { useQuery } from '@tanstack/react-query'
import { useTranslation } from 'react-i18next'
import { submissionQueries } from './queries.ts'
import styles from './CopyFaults.module.css'

/** Enough to see what it is about; a copy that was tampered with as a whole has hundreds. */
const MOST_SHOWN = 10

export function CopyFaults({ id }: { readonly id: string }) {
  const { t } = useTranslation('submissions')
  const { data: check } = useQuery(submissionQueries.check(id))
  if (!check || check.agrees) return null
  const more = check.faults.length - MOST_SHOWN
  return (
    <div className={styles.faults} role="alert">
      <p>{t('faults.title')}</p>
      <ul>
        {check.faults.slice(0, MOST_SHOWN).map(({ what, path }) => (
          <li key={`${what} ${path}`}>{t(`faults.${what}`, { path: path ?? '' })}</li>
        ))}
        {more > 0 ? <li>{t('faults.more', { count: more })}</li> : null}
      </ul>
    </div>
  )
}
