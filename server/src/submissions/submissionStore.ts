// Submissions in the database, and the one scope of who may read them.
import type { Localized, PersonActor, ShownNameRule } from '@valise/core/people'
import { resolveShownName } from '@valise/core/people'
import { REQUIREMENTS_SCHEMA, toStoredResults, upgradeReadiness } from '@valise/core/assignments'
import type { CheckedRequirement, StoredResult } from '@valise/core/assignments'
import type { ReceivedLevel, SubmissionRow, SubmissionState } from '@valise/core/submissions'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { presentMembers } from '../access/index.ts'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { joinNames } from '../people/index.ts'

/** States in which nothing of it is with the assessors: not yet, or not any more. */
const unseen: readonly SubmissionState[] = ['sealing', 'not-sealed', 'taken-back']

/**
 * Narrows a query to one's own submissions and those that one may read as an assessor: of classes that one assesses
 * now, sealed, and not taken back.
 */
export function submissionScope(
  reader: Reader,
  { personId }: PersonActor,
  part: 'both' | 'owner' | 'assessor' = 'both',
): (query: Knex.QueryBuilder) => void {
  return (query) => {
    const classes = presentMembers(reader)
      .where('memberships.personId', personId)
      .whereNot('memberships.role', 'student')
      .select('classId')
    query.where((mine) => {
      if (part !== 'assessor') mine.orWhere('submissions.ownerId', personId)
      if (part !== 'owner')
        mine.orWhere((read) =>
          read
            .whereIn('assignments.classId', classes)
            .whereNot('submissions.ownerId', personId)
            .whereNotIn('submissions.state', [...unseen]),
        )
    })
  }
}

/** Selects submissions with their assignments and the names of their owners. */
export function submissionRows(reader: Reader): Knex.QueryBuilder {
  return reader
    .sql('submissions')
    .join('assignments', 'assignments.id', 'submissions.assignmentId')
    .join('classes', 'classes.id', 'assignments.classId')
    .modify(joinNames, reader, 'submissions.ownerId')
    .select('submissions.*', 'assignments.title', 'assignments.classId')
    .select('classes.name as className', 'classes.code as classCode')
}

export interface StoredSubmission extends SubmissionRow {
  readonly decidedBy: string | null
  readonly ownerId: string
  /** When its content was pinned. */
  readonly pinnedAt: Instant | null
  readonly ownerFullName: string
  readonly classId: string
  readonly dueAt: Instant | null
  readonly openedBy: string | null
  readonly readiness: CheckedRequirement[]
  /** What was asked and found as it was handed in, in the schema of that time, which its sealed copy holds. */
  readonly asHandedIn: {
    readonly requirements: readonly object[]
    readonly readiness: readonly StoredResult[]
  }
  readonly terms: Localized[]
  readonly manifestSha256: string | null
  readonly receipt: string | null
  readonly signature: string | null
  readonly outcomeNewsId: string | null
  /** The sentence that asked for changes. */
  readonly outcomeFeedbackId: string | null
  /** The feedback that was sent together with the outcome. */
  readonly feedbackWithOutcomeId: string | null
  readonly revision: number
}

export async function findSubmission(
  reader: Reader,
  actor: PersonActor,
  id: string,
  part: 'both' | 'owner' | 'assessor' = 'both',
): Promise<StoredSubmission | null> {
  const row: SubmissionRecord | undefined = await submissionRows(reader)
    .where('submissions.id', id)
    .modify(submissionScope(reader, actor, part))
    .first()
  return row ? toSubmission(row) : null
}

/** Finds any submission, for the job that seals it. */
export async function findForSealing(reader: Reader, id: string): Promise<StoredSubmission | null> {
  const row: SubmissionRecord | undefined = await submissionRows(reader).where('submissions.id', id).first()
  return row ? toSubmission(row) : null
}

/** Lists a person's newest submission for each of these assignments. */
export async function listLatest(
  reader: Reader,
  actor: PersonActor,
  assignmentIds: readonly string[],
): Promise<StoredSubmission[]> {
  const rows: SubmissionRecord[] = await submissionRows(reader)
    .where('submissions.ownerId', actor.personId)
    .modify(isOneOf, 'submissions.assignmentId', assignmentIds)
    .orderBy([{ column: 'submissions.assignmentId' }, { column: 'submissions.n', order: 'desc' }])
  const newest = rows.filter(
    (row, at) => rows.findIndex(({ assignmentId }) => assignmentId === row.assignmentId) === at,
  )
  return newest.map(toSubmission)
}

/** Finds the previous submission that an assessor saw. */
export async function findPrevious(
  reader: Reader,
  { ownerId, assignmentId, n }: Pick<StoredSubmission, 'ownerId' | 'assignmentId' | 'n'>,
): Promise<string | null> {
  const row: { id: string } | undefined = await reader
    .sql('submissions')
    .where({ ownerId, assignmentId })
    .where('n', '<', n)
    .whereNotIn('state', [...unseen])
    .orderBy([{ column: 'n', order: 'desc' }, { column: 'id' }])
    .first('id')
  return row?.id ?? null
}

export type NewSubmission = Pick<
  StoredSubmission,
  | 'assignmentId'
  | 'ownerId'
  | 'n'
  | 'requestedAt'
  | 'byItself'
  | 'cameAt'
  | 'dueAt'
  | 'lateMinutes'
  | 'readiness'
  | 'terms'
  | 'gaps'
  | 'parts'
  | 'state'
>

export async function insertSubmission(trx: Trx, wish: NewSubmission): Promise<string> {
  const id = trx.newId()
  await trx.sql('submissions').insert({
    id,
    ...wish,
    requirements: JSON.stringify(wish.readiness.map(({ requirement }) => requirement)),
    readiness: JSON.stringify(toStoredResults(wish.readiness)),
    requirementsSchema: REQUIREMENTS_SCHEMA,
    terms: JSON.stringify(wish.terms),
    byItself: Number(wish.byItself),
    pinnedAt: trx.now,
    revision: 1,
  })
  return id
}

/** Notes that everything which came until now is in a submission, or changes nothing of it. */
export async function notePinned(trx: Trx, id: string): Promise<void> {
  await trx.sql('submissions').where({ id }).update({ pinnedAt: trx.now })
}

export interface SubmissionColumns {
  readonly state?: SubmissionState
  readonly number?: string
  readonly sealedAt?: Instant
  readonly manifestSha256?: string
  readonly receipt?: string
  readonly signature?: string
  readonly openedAt?: Instant
  readonly openedBy?: string
  readonly decidedAt?: Instant | null
  readonly decidedBy?: string | null
  readonly level?: ReceivedLevel | null
  readonly outcomeNewsId?: string | null
  readonly outcomeFeedbackId?: string | null
  readonly feedbackWithOutcomeId?: string | null
}

/**
 * Updates a submission. @returns false when it has changed since it was read: the new state was computed for the old
 * one
 */
export async function updateSubmission(
  trx: Trx,
  { id, revision }: Pick<StoredSubmission, 'id' | 'revision'>,
  { level, ...columns }: SubmissionColumns,
): Promise<boolean> {
  const changed = await trx
    .sql('submissions')
    .where({ id, revision })
    .update({
      ...columns,
      ...(level !== undefined && { level: level === null ? null : JSON.stringify(level) }),
      revision: revision + 1,
    })
  return changed === 1
}

/** Returns the next receipt number of the school, from its counter. */
export async function nextNumber(trx: Trx): Promise<{ readonly prefix: string; readonly count: number }> {
  await trx
    .sql('counters')
    .where({ name: 'receipts' })
    .update({ value: trx.sql.raw('value + 1') })
  const row = await trx.sql('counters').where({ name: 'receipts' }).first()
  if (!row) throw new Error('this data folder counts no receipts')
  return { prefix: row.prefix, count: row.value }
}

export interface SubmissionRecord extends Omit<
  StoredSubmission,
  'title' | 'byItself' | 'readiness' | 'asHandedIn' | 'terms' | 'level' | 'ownerName' | 'ownerFullName'
> {
  readonly title: string
  readonly byItself: number
  readonly requirements: string
  readonly readiness: string
  readonly requirementsSchema: number
  readonly terms: string
  readonly level: string | null
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
  readonly shownNameRule: ShownNameRule | null
}

export function toSubmission(row: SubmissionRecord): StoredSubmission {
  const { fullName, firstName, chosenName, shownNameRule, requirementsSchema, ...stored } = row
  const asHandedIn = { requirements: JSON.parse(row.requirements), readiness: JSON.parse(row.readiness) }
  return {
    ...stored,
    title: JSON.parse(row.title),
    byItself: row.byItself === 1,
    readiness: upgradeReadiness({ schema: requirementsSchema, ...asHandedIn }),
    asHandedIn,
    terms: JSON.parse(row.terms),
    level: row.level === null ? null : JSON.parse(row.level),
    ownerName: resolveShownName({ fullName, firstName, chosenName }, shownNameRule),
    ownerFullName: fullName,
  }
}

export function toSubmissionRow(stored: StoredSubmission): SubmissionRow {
  const { id, assignmentId, title, className, classCode, ownerName, n, state, number } = stored
  const { requestedAt, lateMinutes, byItself, cameAt, gaps, parts, sealedAt, openedAt, decidedAt, level } =
    stored
  return {
    ...{ id, assignmentId, title, className, classCode, ownerName, n, state, number },
    ...{ requestedAt, lateMinutes, byItself, cameAt, gaps, parts, sealedAt, openedAt, decidedAt, level },
  }
}
