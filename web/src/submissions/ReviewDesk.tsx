// The desk itself: the queue at the left, the sealed copy in the middle, the answer at the right.
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import type { Submission } from '@valise/core/submissions'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { setPlace } from '../ui/place.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { AnswerPanel } from './AnswerPanel.tsx'
import { CopyHead } from './CopyHead.tsx'
import { DeskQueue } from './DeskQueue.tsx'
import { PartTabs } from './PartTabs.tsx'
import { submissionQueries, useOpenCopy } from './queries.ts'
import type { QueueShelf } from './queries.ts'
import { SealedPaper } from './SealedPaper.tsx'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './ReviewDesk.module.css'

interface ReviewDeskProps {
  readonly assignmentId: string
  readonly submissionId: string | null
}

export function ReviewDesk({ assignmentId, submissionId }: ReviewDeskProps) {
  const { t } = useTranslation(['desk', 'app'])
  const words = useSubmissionWords()
  const [shelf, setShelf] = useState<QueueShelf>('to-read')
  const queue = useInfiniteQuery(submissionQueries.queue(assignmentId, shelf))
  const title = queue.data?.pages[0]?.assignment.title
  const name = title ? words.title(title) : ''
  useEffect(() => setPlace({ name: t('app:places.desk'), parent: name }), [name, t])
  return (
    <div className={styles.desk} data-reading={submissionId !== null}>
      <DeskQueue
        assignmentId={assignmentId}
        query={queue}
        shelf={shelf}
        current={submissionId}
        onShelf={setShelf}
      />
      {submissionId === null ? (
        <div className={styles.copy}>
          <Empty>{t('pick')}</Empty>
        </div>
      ) : (
        <Reading key={submissionId} id={submissionId} />
      )}
    </div>
  )
}

function Reading({ id }: { readonly id: string }) {
  const submission = useQuery(submissionQueries.one(id))
  return (
    <Fetched query={submission}>
      {(data) => (data.openedAt === null ? <Opening submission={data} /> : <Opened submission={data} />)}
    </Fetched>
  )
}

/** The first look is written down before anything is shown. */
function Opening({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('desk')
  const { mutate, error } = useOpenCopy(submission.id)
  useEffect(() => mutate(), [mutate])
  return (
    <div className={styles.copy}>
      <p role="status">{t('opening')}</p>
      <Refusal error={error} />
    </div>
  )
}

function Opened({ submission }: { readonly submission: Submission }) {
  const { t } = useTranslation('desk')
  const [part, setPart] = useState(1)
  return (
    <>
      <section className={styles.copy} aria-label={t('copyOf', { name: submission.ownerName })}>
        <CopyHead submission={submission} />
        <PartTabs parts={submission.partList} open={part} onOpen={setPart} />
        <SealedPaper key={part} id={submission.id} n={part} isMine={false} />
      </section>
      <AnswerPanel submission={submission} part={part} />
    </>
  )
}
