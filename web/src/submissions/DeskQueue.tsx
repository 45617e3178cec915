// The queue of one assignment: how much is read, who is next, and the other assignments one click away.
import type { InfiniteData, UseInfiniteQueryResult } from '@tanstack/react-query'
import { useQuery } from '@tanstack/react-query'
import type { Queue, SubmissionRow } from '@valise/core/submissions'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { Avatar } from '../ui/Avatar.tsx'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { submissionQueries } from './queries.ts'
import type { QueueShelf } from './queries.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './DeskQueue.module.css'

interface DeskQueueProps {
  readonly assignmentId: string
  readonly query: UseInfiniteQueryResult<InfiniteData<Queue>>
  readonly shelf: QueueShelf
  readonly current: string | null
  readonly onShelf: (shelf: QueueShelf) => void
}

export function DeskQueue({ assignmentId, query, shelf, current, onShelf }: DeskQueueProps) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  // Beside a copy, whose it is heads the screen.
  const Heading = current === null ? 'h1' : 'h2'
  return (
    <section className={styles.queue} aria-label={t('queue')}>
      <Fetched query={query}>
        {({ pages }) => {
          const [first] = pages
          const items = pages.flatMap((page) => page.items)
          if (!first) return null
          const { assignment, read, toRead } = first
          return (
            <>
              <Heading className={styles.title}>{words.title(assignment.title)}</Heading>
              <p className={styles.count}>
                <b>{t('read', { read, all: read + toRead })}</b>
                <meter min={0} max={Math.max(1, read + toRead)} value={read} aria-hidden="true" />
              </p>
              <OtherAssignments assignmentId={assignmentId} title={words.title(assignment.title)} />
              <ChoiceBar
                label={t('shelf')}
                value={shelf}
                choices={[
                  ['to-read', t('toRead', { count: toRead })],
                  ['read', t('wasRead', { count: read })],
                ]}
                onChange={onShelf}
              />
              {items.length === 0 ? (
                <p className={styles.empty}>{t(shelf === 'to-read' ? 'allRead' : 'noneRead')}</p>
              ) : (
                <ul>
                  {items.map((row) => (
                    <Line key={row.id} row={row} isCurrent={row.id === current} />
                  ))}
                </ul>
              )}
              <MoreButton query={query} />
            </>
          )
        }}
      </Fetched>
    </section>
  )
}

function Line({ row, isCurrent }: { readonly row: SubmissionRow; readonly isCurrent: boolean }) {
  const { t } = useTranslation(['desk', 'submissions', 'work'])
  const when = useWhen()
  const words = useSubmissionWords()
  const facts = [
    row.n > 1 ? t('againOn', { time: when.date(row.requestedAt) }) : when.date(row.requestedAt),
    ...(row.gaps > 0 ? [t('submissions:gaps', { count: row.gaps })] : []),
  ]
  return (
    <li>
      <Link to={`/submissions/${row.id}`} aria-current={isCurrent ? 'true' : undefined}>
        <Avatar name={row.ownerName} kind="student" />
        <span>
          <b>{row.ownerName}</b>
          <small>{facts.join(', ')}</small>
        </span>
        <span className={styles.state}>
          {row.lateMinutes > 0 ? <em data-kind="late">{t('late')}</em> : null}
          {row.state === 'with-assessor' && row.n > 1 ? <em data-kind="again">{t('changed')}</em> : null}
          {row.level ? <small>{words.level(row.level)}</small> : null}
          {row.state === 'changes-asked' ? <small>{t('work:states.changes-asked')}</small> : null}
          {row.state === 'with-assessor' && row.openedAt !== null ? <small>{t('opened')}</small> : null}
        </span>
      </Link>
    </li>
  )
}

/** Where more than one assignment has something to read. */
function OtherAssignments({
  assignmentId,
  title,
}: {
  readonly assignmentId: string
  readonly title: string
}) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  const navigate = useNavigate()
  const reading = useQuery(submissionQueries.reading())
  const others = (reading.data ?? []).filter((one) => one.assignmentId !== assignmentId)
  if (others.length === 0) return null
  const choices = others.map(
    (one) => [one.assignmentId, t('other', { title: words.title(one.title), count: one.toRead })] as const,
  )
  return (
    <div>
      <SelectField
        label={t('assignment')}
        value={assignmentId}
        choices={[[assignmentId, title], ...choices]}
        onChange={(id) => void navigate(`/review-desk/${id}`)}
        fullWidth
      />
    </div>
  )
}
