// Lists of submissions: one's own, the queue of an assignment, what is to be read, and where a page went in.
import type { PersonActor } from '@valise/core/people'
import type { ReadingStep, SubmissionList, SubmissionRow } from '@valise/core/submissions'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { presentMembers } from '../access/index.ts'
import { countRows, newestFirst, parseCursor, toCursor } from '../database/index.ts'
import type { PageWish, Reader } from '../database/index.ts'
import { submissionRows, submissionScope, toSubmission, toSubmissionRow } from './submissionStore.ts'
import type { SubmissionRecord } from './submissionStore.ts'

/** Lists one page of a person's submissions, newest first. */
export async function listOwnSubmissions(
  reader: Reader,
  actor: PersonActor,
  wish: PageWish,
): Promise<SubmissionList> {
  const own = submissionRows(reader).modify(submissionScope(reader, actor, 'owner'))
  const rows: SubmissionRecord[] = await newestFirst(own, ['submissions', 'requestedAt'], wish)
  const items = rows.slice(0, wish.limit).map((row) => toSubmissionRow(toSubmission(row)))
  const last = items.at(-1)
  return {
    items,
    next: rows.length > wish.limit && last ? toCursor([last.requestedAt, last.id]) : null,
    count: await countOwnSubmissions(reader, actor),
  }
}

export function countOwnSubmissions(reader: Reader, { personId }: PersonActor): Promise<number> {
  return countRows(reader.sql('submissions').where({ ownerId: personId }))
}

export type QueueShelf = 'to-read' | 'read'

const shelves = { 'to-read': ['with-assessor'], read: ['changes-asked', 'accepted'] } as const

/**
 * Lists one page of the submissions for an assignment, or for all: unread ones oldest first, read ones newest first.
 */
export async function listQueue(
  reader: Reader,
  actor: PersonActor,
  assignmentId: string | null,
  shelf: QueueShelf,
  { cursor, limit }: PageWish,
): Promise<{ readonly items: SubmissionRow[]; readonly next: string | null }> {
  const queue = submissionRows(reader)
    .modify(onShelf(reader, actor, assignmentId, shelf))
    .limit(limit + 1)
  const rows: SubmissionRecord[] = await (shelf === 'read'
    ? newestFirst(queue, ['submissions', 'requestedAt'], { cursor, limit })
    : oldestFirst(queue, cursor))
  const items = rows.slice(0, limit).map((row) => toSubmissionRow(toSubmission(row)))
  const last = items.at(-1)
  return { items, next: rows.length > limit && last ? toCursor([last.requestedAt, last.id]) : null }
}

function oldestFirst(queue: Knex.QueryBuilder, cursor: string | undefined): Knex.QueryBuilder {
  const [after, afterId] = cursor === undefined ? [] : parseCursor(cursor, 2)
  if (after !== undefined && afterId !== undefined)
    queue.where((later) =>
      later
        .where('submissions.requestedAt', '>', after)
        .orWhere((same) =>
          same.where('submissions.requestedAt', after).where('submissions.id', '>', afterId),
        ),
    )
  return queue.orderBy(['submissions.requestedAt', 'submissions.id'])
}

/** Counts the unread and read submissions of an assignment, or of all. */
export async function countQueue(
  reader: Reader,
  actor: PersonActor,
  assignmentId: string | null,
): Promise<{ readonly toRead: number; readonly read: number }> {
  const countOn = (shelf: QueueShelf) =>
    countRows(
      reader
        .sql('submissions')
        .join('assignments', 'assignments.id', 'submissions.assignmentId')
        .modify(onShelf(reader, actor, assignmentId, shelf)),
    )
  return { toRead: await countOn('to-read'), read: await countOn('read') }
}

const MOST_FAILED = 30

/** Lists whose copies could not be sealed, or handed in by themselves, and were not handed in since. */
export async function listFailed(
  reader: Reader,
  { personId }: PersonActor,
  assignmentId: string | null,
): Promise<string[]> {
  const { sql } = reader
  const classes = presentMembers(reader)
    .where('memberships.personId', personId)
    .whereNot('memberships.role', 'student')
    .select('classId')
  const later = sql('submissions as later')
    .where('later.assignmentId', sql.ref('submissions.assignmentId'))
    .where('later.ownerId', sql.ref('submissions.ownerId'))
    .where('later.n', '>', sql.ref('submissions.n'))
  const rows: SubmissionRecord[] = await submissionRows(reader)
    .whereIn('assignments.classId', classes)
    .where('submissions.state', 'not-sealed')
    .whereNotExists(later.select('later.id'))
    .modify((query) => {
      if (assignmentId !== null) query.where('submissions.assignmentId', assignmentId)
    })
    .orderBy(['submissions.requestedAt', 'submissions.id'])
    .limit(MOST_FAILED)
  return rows.map((row) => toSubmission(row).ownerName)
}

function onShelf(reader: Reader, actor: PersonActor, assignmentId: string | null, shelf: QueueShelf) {
  return (query: Knex.QueryBuilder): void => {
    if (assignmentId !== null) query.where('submissions.assignmentId', assignmentId)
    query.modify(submissionScope(reader, actor, 'assessor')).whereIn('submissions.state', [...shelves[shelf]])
  }
}

/** Lists what somebody has to read now, by assignment; the one with the oldest submission comes first. */
export async function listReading(reader: Reader, actor: PersonActor): Promise<ReadingStep[]> {
  const rows: ReadingRecord[] = await reader
    .sql('submissions')
    .join('assignments', 'assignments.id', 'submissions.assignmentId')
    .join('classes', 'classes.id', 'assignments.classId')
    .modify(submissionScope(reader, actor, 'assessor'))
    .where('submissions.state', 'with-assessor')
    .groupBy('assignments.id', 'assignments.title', 'classes.name')
    .select('assignments.id', 'assignments.title', 'classes.name as className')
    .count({ toRead: '*' })
    .min({ oldest: 'submissions.requestedAt' })
    .orderBy([{ column: 'oldest' }, { column: 'assignments.id' }])
  return rows.map(({ id, title, className, toRead, oldest }) => ({
    ...{ assignmentId: id, className, oldest },
    title: JSON.parse(title),
    toRead: Number(toRead),
  }))
}

export async function countReading(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(
    reader
      .sql('submissions')
      .join('assignments', 'assignments.id', 'submissions.assignmentId')
      .modify(submissionScope(reader, actor, 'assessor'))
      .where('submissions.state', 'with-assessor'),
  )
}

/** Lists one's own submissions that contain a thing, newest first, each with the number of its part. */
export async function listOwnWith(
  reader: Reader,
  actor: PersonActor,
  thingId: string,
): Promise<(SubmissionRow & { readonly partN: number })[]> {
  const rows: (SubmissionRecord & { readonly partN: number })[] = await submissionRows(reader)
    .join('submissionParts as part', 'part.submissionId', 'submissions.id')
    .where('part.thingId', thingId)
    .select('part.n as partN')
    .modify(submissionScope(reader, actor, 'owner'))
    .orderBy([
      { column: 'submissions.requestedAt', order: 'desc' },
      { column: 'submissions.id', order: 'desc' },
    ])
    .limit(MOST_AROUND)
  return rows.map((row) => ({ ...toSubmissionRow(toSubmission(row)), partN: row.partN }))
}

/** Lists one's own submissions that were answered or commented on last. */
export async function listRecentOwn(reader: Reader, actor: PersonActor): Promise<SubmissionRow[]> {
  const rows: SubmissionRecord[] = await submissionRows(reader)
    .modify(submissionScope(reader, actor, 'owner'))
    .orderBy([
      { column: 'submissions.requestedAt', order: 'desc' },
      { column: 'submissions.id', order: 'desc' },
    ])
    .limit(MOST_AROUND)
  return rows.map((row) => toSubmissionRow(toSubmission(row)))
}

const MOST_AROUND = 40

interface ReadingRecord {
  readonly id: string
  readonly title: string
  readonly className: string
  readonly toRead: number
  readonly oldest: Instant | null
}
