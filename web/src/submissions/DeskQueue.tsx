// The queue of one assignment, or over all of them: how much is to read, who is next, where words are unsent.
import { useQuery } from '@tanstack/react-query'
import { IconPencil } from '@tabler/icons-react'
import type { SubmissionRow } from '@valise/core/submissions'
import { useEffect, useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { Link, useNavigate } from 'react-router'
import { useUnsentPlaces } from '../saving/index.ts'
import { Avatar } from '../ui/Avatar.tsx'
import { ChoiceBar } from '../ui/ChoiceBar.tsx'
import { Fetched } from '../ui/Fetched.tsx'
import { MoreButton } from '../ui/MoreButton.tsx'
import { SelectField } from '../ui/SelectField.tsx'
import { useWhen } from '../ui/useWhen.ts'
import { submissionQueries } from './queries.ts'
import { hasUnsentWords } from './unsentAnswer.ts'
import { copyAddress, queueAddress } from './useQueue.ts'
import type { DeskQueueState } from './useQueue.ts'
import { useSubmissionWords } from './useSubmissionWords.ts'
import styles from './DeskQueue.module.css'

interface DeskQueueProps {
  readonly queue: DeskQueueState
  /** The copy that is open. */
  readonly current: string | null
}

export function DeskQueue({ queue, current }: DeskQueueProps) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  const unsent = useUnsentPlaces()
  const list = useRef<HTMLUListElement>(null)
  const { assignmentId, query, rows, shelf, setShelf } = queue
  // Beside a copy, whose it is heads the screen.
  const Heading = current === null ? 'h1' : 'h2'
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  }, [current])
  return (
    <section className={styles.queue} aria-label={t('queue')}>
      <Fetched query={query}>
        {({ pages }) => {
          const [first] = pages
          if (!first) return null
          const { assignment, read, toRead } = first
          const title = assignment
            ? words.title(assignment.title)
            : t(shelf === 'read' ? 'newestFirst' : 'oldestFirst')
          return (
            <>
              <Heading className={styles.title}>{title}</Heading>
              {assignment ? (
                <p className={styles.count}>
                  <b>{t('read', { read, all: read + toRead })}</b>
                  <meter min={0} max={Math.max(1, read + toRead)} value={read} aria-hidden="true" />
                </p>
              ) : null}
              <WhichQueue assignmentId={assignmentId} title={title} />
              <ChoiceBar
                label={t('shelf')}
                value={shelf}
                choices={[
                  ['to-read', t('toRead', { count: toRead })],
                  ['read', t('wasRead', { count: read })],
                ]}
                onChange={setShelf}
              />
              <Failed names={first?.failed ?? []} />
              {rows.length === 0 ? (
                <p className={styles.empty}>{t(shelf === 'to-read' ? 'allRead' : 'noneRead')}</p>
              ) : (
                <ul ref={list}>
                  {rows.map((row) => (
                    <Line
                      key={row.id}
                      row={row}
                      queueOf={assignmentId}
                      isCurrent={row.id === current}
                      hasUnsent={row.id !== current && hasUnsentWords(unsent, row.id)}
                    />
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

/** Whose copies could not be handed in: they are not here, and nobody should wait for them. */
function Failed({ names }: { readonly names: readonly string[] }) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  if (names.length === 0) return null
  return <p className={styles.failed}>{t('failed', { count: names.length, names: words.list(names) })}</p>
}

interface LineProps {
  readonly row: SubmissionRow
  readonly queueOf: string | null
  readonly isCurrent: boolean
  readonly hasUnsent: boolean
}

function Line({ row, queueOf, isCurrent, hasUnsent }: LineProps) {
  const { t } = useTranslation(['desk', 'submissions', 'work'])
  const when = useWhen()
  const words = useSubmissionWords()
  const facts = [
    ...(queueOf === null ? [words.title(row.title)] : []),
    when.date(row.requestedAt),
    ...(row.gaps > 0 ? [t('submissions:gaps', { count: row.gaps })] : []),
  ]
  return (
    <li>
      <Link to={copyAddress(row.id, queueOf)} aria-current={isCurrent ? 'true' : undefined}>
        <Avatar name={row.ownerName} kind="student" />
        <span>
          <b>{row.ownerName}</b>
          <small>{facts.join(', ')}</small>
          {hasUnsent ? (
            <em className={styles.unsent}>
              <IconPencil size={14} stroke={1.7} aria-hidden="true" />
              {t('unsent')}
            </em>
          ) : null}
        </span>
        <span className={styles.state}>
          {row.lateMinutes > 0 ? <em data-kind="late">{t('late')}</em> : null}
          {row.n > 1 ? <em data-kind="again">{t('changed')}</em> : null}
          {row.level ? <small>{words.level(row.level)}</small> : null}
          {row.state === 'changes-asked' ? <small>{t('work:states.changes-asked')}</small> : null}
          {row.state === 'with-assessor' && row.openedAt !== null ? <small>{t('opened')}</small> : null}
        </span>
      </Link>
    </li>
  )
}

/** The queue over all assignments, or one of those with something to read. */
function WhichQueue({
  assignmentId,
  title,
}: {
  readonly assignmentId: string | null
  readonly title: string
}) {
  const { t } = useTranslation('desk')
  const words = useSubmissionWords()
  const navigate = useNavigate()
  const { data: reading = [] } = useQuery(submissionQueries.reading())
  const all = reading.reduce((sum, { toRead }) => sum + toRead, 0)
  const others = reading.filter((one) => one.assignmentId !== assignmentId)
  const choices = [
    ['', t('allToRead', { count: all })] as const,
    ...(assignmentId === null ? [] : [[assignmentId, title] as const]),
    ...others.map(
      (one) => [one.assignmentId, t('other', { title: words.title(one.title), count: one.toRead })] as const,
    ),
  ]
  return (
    <div>
      <SelectField
        label={t('assignment')}
        value={assignmentId ?? ''}
        choices={choices}
        onChange={(id) => void navigate(queueAddress(id === '' ? null : id))}
        fullWidth
      />
    </div>
  )
}
