// Which sealed copy is open: seal and number, whose and when, and whether its bytes still agree with the checksum.
import { useQuery } from '@tanstack/react-query'
import type { Submission } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Seal } from '../ui/Seal.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { submissionQueries } from './queries.ts'
import { StateMark } from './StateMark.tsx'
import { StayingMarks } from './StayingMarks.tsx'
import styles from './ReviewDesk.module.css'

export function CopyHead({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('desk')
  const when = useWhen()
  const isOpen = submission.openedAt !== null
  const check = useQuery({ ...submissionQueries.check(submission.id), enabled: isOpen })
  const number = submission.number ?? ''
  const agreement = check.data ? (check.data.agrees ? t('agrees') : '') : isOpen ? t('checking') : ''
  return (
    <header className={styles.head}>
      <Seal size={40} isSealed label={t('sealed', { number })} />
      <div>
        <h1>{submission.ownerName}</h1>
        <p>
          {t('sealed', { number })}. {when.dayTime(submission.requestedAt)}. {agreement}
        </p>
      </div>
      <p className={styles.marks}>
        <StateMark row={submission} isMine={false} />
        <StayingMarks row={submission} />
      </p>
    </header>
  )
}
