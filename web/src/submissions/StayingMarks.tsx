// What stays of a hand-in whatever becomes of it: late, again, with gaps, and the number of its sealed copy.
import { IconClockExclamation } from '@tabler/icons-react'
import type { SubmissionRow } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Seal } from '../ui/Seal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './StateMark.module.css'

export function StayingMarks({
  row,
}: {
  readonly row: Pick<SubmissionRow, 'lateMinutes' | 'byItself' | 'cameAt' | 'n' | 'gaps'>
}) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const when = useWhen()
  return (
    <>
      {row.lateMinutes > 0 ? (
        <span className={styles.mark} data-state="late">
          <IconClockExclamation size={15} stroke={1.7} aria-hidden="true" />
          {words.late(row)}
        </span>
      ) : null}
      {row.byItself ? <span className={styles.plain}>{t('byItself')}</span> : null}
      {row.cameAt === null ? null : (
        <span className={styles.plain}>{t('cameLater', { when: when.dayTime(row.cameAt) })}</span>
      )}
      {row.n > 1 ? <span className={styles.plain}>{t('again', { n: row.n })}</span> : null}
      {row.gaps > 0 ? <span className={styles.plain}>{t('gaps', { count: row.gaps })}</span> : null}
    </>
  )
}

/** The number of a sealed copy, or that there is none. */
export function NumberMark({ number }: { readonly number: string | null }) {
  const { t } = useTranslation('submissions')
  if (number === null) return null
  return (
    <span className={styles.number}>
      <Seal size={18} isSealed label={t('sealedCopy')} />
      {number}
    </span>
  )
}
