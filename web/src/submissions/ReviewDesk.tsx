// The desk itself: the queue at the left, the sealed copy in the middle, the answer at the right, the keys below.
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { IconEyeglass } from '@tabler/icons-react'
import { useQuery } from '@tanstack/react-query'
import type { Submission } from '@valise/core/submissions'
import { useEffect, useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link as RouterLink, useLocation } from 'react-router'
import { Empty } from '../ui/Empty.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { runFootNote } from '../ui/footNote.ts'
import { setPlace } from '../ui/place.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { useLetterKeys } from '../ui/useLetterKeys.ts'
import { AnswerPanel } from './AnswerPanel.tsx'
import { CopyFaults } from './CopyFaults.tsx'
import { CopyHead } from './CopyHead.tsx'
import { DeskKeys } from './DeskKeys.tsx'
import { DeskQueue } from './DeskQueue.tsx'
import { PartTabs } from './PartTabs.tsx'
import { useOpenCopy } from './acts.ts'
import { submissionQueries } from './queries.ts'
import type { QueueShelf } from './queries.ts'
import { SealedPaper } from './SealedPaper.tsx'
import { useAnswers } from './useAnswers.ts'
import type { Answers } from './useAnswers.ts'
import { copyAddress, queueAddress, useQueue } from './useQueue.ts'
import type { DeskQueueState } from './useQueue.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './ReviewDesk.module.css'

interface ReviewDeskProps {
  /** Whose queue stands beside; null for that over all assignments. */
  readonly assignmentId: string | null
  readonly submissionId: string | null
  /** Where the queue begins: with what is to read, unless one that was read is open. */
  readonly firstShelf?: QueueShelf
}

export function ReviewDesk({ assignmentId, submissionId, firstShelf = 'to-read' }: ReviewDeskProps) {
  const { t } = useTranslation(['desk', 'app'])
  const words = useSubmissionWords()
  const opened =
    useQuery({ ...submissionQueries.one(submissionId ?? ''), enabled: submissionId !== null }).data ?? null
  const queue = useQueue(assignmentId, opened, firstShelf)
  const answers = useAnswers(queue)
  const [end, setEnd] = useState<'first' | 'last' | null>(null)
  const assignment = queue.query.data?.pages[0]?.assignment
  const name = assignment ? words.title(assignment.title) : assignmentId === null ? t('all') : ''
  const copy = opened ? t('copyOf', { name: opened.ownerName }) : null
  useEffect(
    () =>
      setPlace({
        ...{ name: t('app:places.desk'), parent: name, within: 'desk' },
        ...(copy !== null && { title: `${copy}, ${name}` }),
      }),
    [name, copy, t],
  )
  const move = async (to: 'next' | 'before') => {
    setEnd(null)
    if (!(await queue.move(to))) setEnd(to === 'next' ? 'last' : 'first')
  }
  // While the next copy is fetched, keys that were meant for its answer must not lead away from it.
  const isFetching = submissionId !== null && opened === null
  useLetterKeys(
    isFetching
      ? {}
      : { n: () => void move('next'), b: () => void move('before'), u: () => void runFootNote() },
  )
  return (
    <div className={styles.desk} data-reading={submissionId !== null}>
      <DeskQueue queue={queue} current={submissionId} />
      {submissionId === null ? (
        <Begin queue={queue} />
      ) : (
        <Reading key={submissionId} id={submissionId} queue={queue} answers={answers} />
      )}
      <DeskKeys
        levels={opened?.state === 'with-assessor' ? opened.scale.length : 0}
        isOpen={opened !== null}
        hasNext={queue.next !== null}
      />
      <p className="only-heard" role="status">
        {end === null ? '' : t(`keys.${end}`)}
      </p>
    </div>
  )
}

/** Nothing is opened by itself: the first look is written down, and the student can't take it back any more. */
function Begin({ queue }: { readonly queue: DeskQueueState }) {
  const { t } = useTranslation('desk')
  const { next, shelf, assignmentId, query } = queue
  const toRead = query.data?.pages[0]?.toRead
  if (toRead === undefined) return <div className={styles.begin} />
  if (shelf === 'to-read' && next)
    return (
      <div className={styles.begin}>
        <Empty
          action={
            <Button
              component={RouterLink}
              to={copyAddress(next.id, assignmentId)}
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
  return (
    <div className={styles.begin}>
      {toRead > 0 ? null : assignmentId === null ? <Empty>{t('nothingHint')}</Empty> : <OthersToRead />}
    </div>
  )
}

/** All of one assignment is read: where else something waits. */
function OthersToRead() {
  const { t } = useTranslation('desk')
  const { data: reading = [] } = useQuery(submissionQueries.reading())
  const count = reading.reduce((sum, { toRead }) => sum + toRead, 0)
  if (count === 0) return <Empty>{t('nothingHint')}</Empty>
  return (
    <Empty
      action={
        <Button component={RouterLink} to={queueAddress(null)} variant="contained" color="primary">
          {t('toAll')}
        </Button>
      }
    >
      {t('othersWait', { count })}
    </Empty>
  )
}

interface ReadingProps {
  readonly id: string
  readonly queue: DeskQueueState
  readonly answers: Answers
}

function Reading({ id, queue, answers }: ReadingProps) {
  const submission = useQuery(submissionQueries.one(id))
  return (
    <Fetched query={submission}>
      {(data) => <Copy submission={data} queue={queue} answers={answers} />}
    </Fetched>
  )
}

interface CopyProps extends Omit<ReadingProps, 'id'> {
  readonly submission: Submission
}

function Copy({ submission, queue, answers }: CopyProps) {
  const { t } = useTranslation('desk')
  const { state } = useLocation()
  const { id, assignmentId, openedAt, partList } = submission
  const copy = useRef<HTMLElement>(null)
  const [chosen, setPart] = useState<number | null>(null)
  // The way here may lead to another part than the first.
  const wanted: number = partList.some(({ n }) => n === state?.part) ? state.part : 1
  const part = chosen ?? wanted
  const scrollCopy = (pages: number) => {
    const { current } = copy
    if (current) current.scrollTop += Math.max(-1e6, Math.min(1e6, pages * current.clientHeight))
  }
  return (
    <>
      <section
        ref={copy}
        tabIndex={0}
        className={styles.copy}
        aria-label={t('copyOf', { name: submission.ownerName })}
      >
        <Link
          component={RouterLink}
          data-print="off"
          className={styles.back}
          to={queueAddress(queue.assignmentId === null ? null : assignmentId)}
        >
          {t('toQueue')}
        </Link>
        <CopyHead submission={submission} />
        {openedAt === null ? (
          <Opening id={id} />
        ) : (
          <>
            <CopyFaults id={id} />
            <PartTabs parts={partList} open={part} onOpen={setPart} />
            <SealedPaper key={part} id={id} n={part} isMine={false} />
          </>
        )}
      </section>
      <AnswerPanel
        submission={submission}
        part={part}
        answers={answers}
        hasNext={queue.following !== null}
        onScroll={scrollCopy}
      />
    </>
  )
}

/** The first look is written down before anything is shown. */
function Opening({ id }: { readonly id: string }) {
  const { t } = useTranslation('desk')
  const { mutate, error } = useOpenCopy(id)
  useEffect(() => mutate(), [mutate])
  return (
    <>
      <p role="status">{t('opening')}</p>
      <Refusal error={error} />
    </>
  )
}
