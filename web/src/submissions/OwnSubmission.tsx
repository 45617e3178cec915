// What I handed in: what became of it, what was said, the receipt, and the sealed copy as the assessor reads it.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useQuery } from '@tanstack/react-query'
import { IconDownload } from '@tabler/icons-react'
import { gapsOf } from '@valise/core/submissions'
import type { Submission } from '@valise/core/submissions'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { FeedbackThread } from '../feedback/index.ts'
import { useSession } from '../session/index.ts'
import { Fetched } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import { Screen } from '../ui/Screen.tsx'
import { useSize } from '../ui/useSize.ts'
import { useWhen } from '../ui/useWhen.ts'
import { CopyFaults } from './CopyFaults.tsx'
import { LevelMark } from './LevelMark.tsx'
import { PartTabs } from './PartTabs.tsx'
import { useTakeBack } from './acts.ts'
import { submissionQueries } from './queries.ts'
import { ReceiptSlip } from './ReceiptSlip.tsx'
import { SayForm } from './SayForm.tsx'
import { SealedPaper } from './SealedPaper.tsx'
import { StateMark } from './StateMark.tsx'
import { StayingMarks } from './StayingMarks.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import { useWrittenFeedback } from './useWrittenFeedback.ts'
import styles from './OwnSubmission.module.css'

export function OwnSubmission({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation(['submissions', 'app'])
  const words = useSubmissionWords()
  const [part, setPart] = useState(1)
  const title = words.title(submission.title)
  return (
    <Screen
      place={title}
      parent={t('app:places.submissions')}
      sentence={title}
      lead={<Became submission={submission} />}
      panelLabel={t('receipt.label')}
      panel={<Panel submission={submission} part={part} />}
    >
      {submission.number === null ? (
        <p>{t(submission.state === 'sealing' ? 'one.sealing' : 'one.notSealed')}</p>
      ) : (
        <section aria-labelledby="copy">
          <h2 id="copy" className={styles.heading}>
            {t('one.copy')}
          </h2>
          <p className={styles.lead}>{t('one.copyLead')}</p>
          <CopyFaults id={submission.id} />
          <WasMissing submission={submission} />
          <PartTabs parts={submission.partList} open={part} onOpen={setPart} />
          <SealedPaper key={part} id={submission.id} n={part} isMine />
        </section>
      )}
    </Screen>
  )
}

/** What was missing when it was handed in, by name. */
function WasMissing({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const gaps = gapsOf(submission.readiness)
  if (gaps.length === 0) return null
  return (
    <div className={styles.missing}>
      <p>{t('one.wasMissing')}</p>
      <ul>
        {gaps.map((gap) => (
          <li key={gap.requirement.id}>
            <b>{words.wanted(gap.requirement)}</b> {words.found(gap)}
          </li>
        ))}
      </ul>
    </div>
  )
}

/** The state as a sentence, the level, and who has opened it. */
function Became({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('submissions')
  const when = useWhen()
  const { level, openedAt, openedByName, decidedAt, decidedByName, requestedAt } = submission
  return (
    <span className={styles.became}>
      <StateMark row={submission} />
      {level ? <LevelMark received={level} /> : null}
      <StayingMarks row={submission} />
      <span>
        {t('latest.handedIn', { time: when.dayTime(requestedAt) })}{' '}
        {openedAt === null ? null : t('one.opened', { by: openedByName ?? '', time: when.dayTime(openedAt) })}{' '}
        {decidedAt === null
          ? null
          : t('one.answered', { by: decidedByName ?? '', time: when.dayTime(decidedAt) })}
      </span>
    </span>
  )
}

function Panel({ submission, part }: { readonly submission: Submission; readonly part: number }) {
  const { t } = useTranslation('submissions')
  const words = useSubmissionWords()
  const session = useSession()
  const when = useWhen()
  const size = useSize()
  const back = useTakeBack()
  const { number, sealedAt, manifestSha256 } = submission
  const mayGoOn = ['changes-asked', 'taken-back', 'not-sealed'].includes(submission.state)
  return (
    <div className={styles.panel}>
      {mayGoOn ? (
        <Button
          component={RouterLink}
          to={`/assignments/${submission.assignmentId}`}
          variant="contained"
          color="primary"
        >
          {t('one.again')}
        </Button>
      ) : null}
      <Said submission={submission} part={part} />
      <ReceiptSlip
        heading={t('receipt.label')}
        title={words.title(submission.title)}
        from={session.fullName}
        to={`${words.list(submission.assessors)}, ${submission.classCode}`}
        parts={t('panel.parts', {
          count: submission.parts,
          files: `${t('parts.files', { count: submission.files })}, ${size(submission.bytes)}`,
        })}
        sealed={
          number === null || sealedAt === null
            ? null
            : { number, time: when.dayTime(submission.requestedAt), checksum: manifestSha256 ?? '' }
        }
      />
      {number === null ? null : (
        <p className={styles.proof}>
          <Link href={`/api/submissions/${submission.id}/receipt`} download={`${number}.json`}>
            <IconDownload size={16} stroke={1.7} aria-hidden="true" /> {t('receipt.download')}
          </Link>
          <small>{t('receipt.downloadHint')}</small>
        </p>
      )}
      <div>
        {submission.mayTakeBack ? (
          <Button size="small" loading={back.isPending} onClick={() => back.mutate(submission.id)}>
            {t('latest.takeBack')}
          </Button>
        ) : null}
        {/* The refusal stays when the button goes: what made it refused takes the button away. */}
        <Refusal error={back.error} />
      </div>
    </div>
  )
}

function Said({ submission, part }: { readonly submission: Submission; readonly part: number }) {
  const { t } = useTranslation(['submissions', 'work'])
  const feedback = useQuery(submissionQueries.feedback(submission.id))
  const written = useWrittenFeedback(submission, part)
  const nameOf = (n: number) => submission.partList.find((one) => one.n === n)?.title ?? ''
  if (submission.number === null) return null
  return (
    <section aria-labelledby="said">
      <h2 id="said" className={styles.heading}>
        {t('feedback.title')}
      </h2>
      <Fetched query={feedback}>
        {(items) => <FeedbackThread items={items} nameOfPart={nameOf} empty={t('feedback.none')} />}
      </Fetched>
      <details className={styles.reply}>
        <summary>{t('work:feedback.reply')}</summary>
        <SayForm submission={submission} written={written} />
      </details>
    </section>
  )
}
