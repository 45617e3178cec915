// The state of a hand-in: icon, words and colour; and the marks that stay whatever becomes of it.
import {
  IconArrowBackUp,
  IconClockExclamation,
  IconHourglass,
  IconMessageReply,
  IconProgress,
  IconReplace,
  IconRubberStamp,
} from '@tabler/icons-react'
import type { Icon } from '@tabler/icons-react'
import type { SubmissionRow, SubmissionState } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Seal } from '../ui/Seal.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './StateMark.module.css'

const icons: Readonly<Record<SubmissionState, Icon>> = {
  sealing: IconProgress,
  'not-sealed': IconClockExclamation,
  'with-assessor': IconHourglass,
  'changes-asked': IconMessageReply,
  accepted: IconRubberStamp,
  'taken-back': IconArrowBackUp,
  replaced: IconReplace,
}

interface StateMarkProps {
  readonly row: Pick<SubmissionRow, 'state' | 'openedAt'>
  /** Whether its student reads, not who answers it. */
  readonly isMine?: boolean
}

export function StateMark({ row, isMine = true }: StateMarkProps) {
  const { t } = useTranslation('submissions')
  const StateIcon = icons[row.state]
  const isOpened = row.state === 'with-assessor' && row.openedAt !== null
  const state = isOpened ? 'opened' : row.state
  const isForMe = row.state === 'with-assessor' && !isMine
  return (
    <span className={styles.mark} data-state={row.state}>
      <StateIcon size={15} stroke={1.7} aria-hidden="true" />
      {t(isForMe ? 'states.for-me' : `states.${state}`)}
    </span>
  )
}

export function StayingMarks({ row }: { readonly row: Pick<SubmissionRow, 'lateMinutes' | 'n' | 'gaps'> }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  return (
    <>
      {row.lateMinutes > 0 ? (
        <span className={styles.mark} data-state="late">
          <IconClockExclamation size={15} stroke={1.7} aria-hidden="true" />
          {words.late(row)}
        </span>
      ) : null}
      {row.n > 1 ? <span className={styles.plain}>{t('again', { n: row.n })}</span> : null}
      {row.gaps > 0 ? <span className={styles.plain}>{t('gaps', { count: row.gaps })}</span> : null}
    </>
  )
}

/** A sealed copy’s number, or that there is none. */
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
