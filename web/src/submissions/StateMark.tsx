// The state of a hand-in: icon, words and colour.
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
  const { t } = useTranslation('work')
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
