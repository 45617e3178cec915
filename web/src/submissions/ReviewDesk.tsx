// The desk itself: the queue at the left, the sealed copy in the middle, the answer at the right.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconEyeglass } from '@tabler/icons-react'
import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import type { Submission, SubmissionRow } from '@valise/core/submissions'
import { useEffect, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { setPlace } from '../ui/place.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { AnswerPanel } from './AnswerPanel.tsx'
import { CopyFaults } from './CopyFaults.tsx'
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
  /** Where the queue begins: with what is to read, unless one that was read is open. */
  readonly firstShelf?: QueueShelf
}

export function ReviewDesk({ assignmentId, submissionId, firstShelf = 'to-read' }: ReviewDeskProps) {
  const { t } = useTranslation(['desk', 'app'])
  const words = useSubmissionWords()
  const [shelf, setShelf] = useState<QueueShelf>(firstShelf)
  const queue = useInfiniteQuery(submissionQueries.queue(assignmentId, shelf))
  const title = queue.data?.pages[0]?.assignment.title
  const name = title ? words.title(title) : ''
  const opened = useQuery({
    ...submissionQueries.one(submissionId ?? ''),
    enabled: submissionId !== null,
  }).data
  const copy = submissionId !== null && opened ? t('copyOf', { name: opened.ownerName }) : null
  useEffect(
    () =>
      setPlace({
        ...{ name: t('app:places.desk'), parent: name, within: 'desk' },
        ...(copy !== null && { title: `${copy}, ${name}` }),
      }),
    [name, copy, t],
  )
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
        <Begin next={queue.data?.pages[0]?.items[0]} />
      ) : (
        <Reading key={submissionId} id={submissionId} />
      )}
    </div>
  )
}

/** Nothing is opened by itself: the first look is written down, and the student can't take it back any more. */
function Begin({ next }: { readonly next: SubmissionRow | undefined }) {
  const { t } = useTranslation('desk')
  if (!next) return <div className={styles.begin} />
  return (
    <div className={styles.begin}>
      <Empty
        action={
          <Button
            component={RouterLink}
            to={`/submissions/${next.id}`}
            variant="contained"
            color="primary"
            startIcon={<IconEyeglass size={18} stroke={1.7} />}
          >
            {t('begin', { name: next.ownerName })}
          </Button>
        }
      >
        {t('pick')}
      </Empty>
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
        <Link component={RouterLink} className={styles.back} to={`/review-desk/${submission.assignmentId}`}>
          {t('toQueue')}
        </Link>
        <CopyHead submission={submission} />
        <CopyFaults id={submission.id} />
        <PartTabs parts={submission.partList} open={part} onOpen={setPart} />
        <SealedPaper key={part} id={submission.id} n={part} isMine={false} />
      </section>
      <AnswerPanel submission={submission} part={part} />
    </>
  )
}
