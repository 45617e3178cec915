// Assignments in the database: whoever is in the class now sees them, its assessors change them.
import { REQUIREMENTS_SCHEMA, upgradeRequirements } from '@valise/core/assignments'
import type { Assignment, AssignmentInput, AssignmentList, AssignmentRow } from '@valise/core/assignments'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { presentMembers } from '../access/index.ts'
import { countRows, isOneOf, newestFirst, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'

export type AssignmentSide = 'all' | 'assessor' | 'student'

/**
 * Narrows a query to the assignments of somebody's current classes, on any side or only as assessor or student. The
 * only access to assignments; closed by default.
 */
function assignmentScope(
  reader: Reader,
  { personId }: PersonActor,
  side: AssignmentSide,
): (query: Knex.QueryBuilder) => void {
  return (query) => {
    const classes = presentMembers(reader).where('memberships.personId', personId).select('classId')
    if (side === 'assessor') classes.whereNot('memberships.role', 'student')
    if (side === 'student') classes.where('memberships.role', 'student')
    query.whereIn('assignments.classId', classes)
  }
}

/** Lists one page of the assignments that somebody assesses, newest first. */
export async function listAssignments(
  reader: Reader,
  actor: PersonActor,
  wish: PageWish,
): Promise<AssignmentList> {
  const own = assignmentRows(reader)
    .modify(assignmentScope(reader, actor, 'assessor'))
    .modify(setByHand)
  const rows: AssignmentRecord[] = await newestFirst(
    withProgress(reader, own.clone()),
    ['assignments', 'setAt'],
    wish,
  )
  const items = rows.slice(0, wish.limit)
  const last = items.at(-1)
  return {
    items: items.map(toRow),
    next: rows.length > wish.limit && last ? toCursor([last.setAt, last.id]) : null,
    count: await countRows(
      reader
        .sql('assignments')
        .modify(assignmentScope(reader, actor, 'assessor'))
        .modify(setByHand),
    ),
  }
}

export function countAssignments(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(
    reader
      .sql('assignments')
      .modify(assignmentScope(reader, actor, 'assessor'))
      .modify(setByHand)
      .whereNull('assignments.endedAt'),
  )
}

/** Lists the running assignments of a student's classes, without those due before the student joined. */
export async function listRunning(reader: Reader, actor: PersonActor): Promise<Assignment[]> {
  const wasThere = presentMembers(reader)
    .where({ 'memberships.personId': actor.personId, 'memberships.role': 'student' })
    .where('memberships.classId', reader.sql.ref('assignments.classId'))
    .where((due) =>
      due
        .whereNull('assignments.dueAt')
        .orWhereNull('memberships.fromAt')
        .orWhere('memberships.fromAt', '<', reader.sql.ref('assignments.dueAt')),
    )
    .select('memberships.classId')
  const rows: AssignmentRecord[] = await assignmentRows(reader)
    .modify(assignmentScope(reader, actor, 'student'))
    .whereExists(wasThere)
    .whereNull('assignments.endedAt')
    .orderBy([{ column: 'assignments.setAt', order: 'desc' }, { column: 'assignments.id' }])
    .limit(MOST_RUNNING)
  return rows.map(toAssignment)
}

/** More than this at once would be no plan any more. */
const MOST_RUNNING = 100

export async function findAssignment(
  reader: Reader,
  actor: PersonActor,
  id: string,
  side: AssignmentSide,
): Promise<Assignment | null> {
  const row: AssignmentRecord | undefined = await assignmentRows(reader)
    .where('assignments.id', id)
    .modify(assignmentScope(reader, actor, side))
    .first()
  return row ? toAssignment(row) : null
}

/** Lists assignments by id, for readers of their submissions. */
export async function listAssignmentsById(reader: Reader, ids: readonly string[]): Promise<Assignment[]> {
  const rows: AssignmentRecord[] = await assignmentRows(reader)
    .modify(isOneOf, 'assignments.id', ids)
    .orderBy('assignments.id')
  return rows.map(toAssignment)
}

export async function insertAssignment(
  trx: Trx,
  actor: PersonActor,
  classId: string,
  input: AssignmentInput,
  dueAt: Instant | null,
  guideId: string | null = null,
): Promise<string> {
  const id = trx.newId()
  await trx.sql('assignments').insert({
    id,
    classId,
    setBy: actor.personId,
    ...toColumns(input),
    dueAt,
    guideId,
    collectedAt: null,
    setAt: trx.now,
    endedAt: null,
    revision: 1,
  })
  return id
}

/** Updates an assignment. @returns false when its revision has changed */
export async function updateAssignment(
  trx: Trx,
  id: string,
  revision: number,
  input: AssignmentInput,
  dueAt: Instant | null,
): Promise<boolean> {
  const changed = await trx
    .sql('assignments')
    .where({ id, revision })
    .update({ ...toColumns(input), dueAt, revision: revision + 1 })
  return changed === 1
}

export async function endAssignment(trx: Trx, id: string, endedAt: Instant | null): Promise<void> {
  await trx
    .sql('assignments')
    .where({ id })
    .update({ endedAt, revision: trx.sql.raw('revision + 1') })
}

export async function hasSubmissions(reader: Reader, assignmentId: string): Promise<boolean> {
  return (await reader.sql('submissions').where({ assignmentId }).first('id')) !== undefined
}

export async function deleteAssignment(trx: Trx, id: string): Promise<void> {
  await trx.sql('assignments').where({ id }).delete()
}

/** Lists the current students of a class. */
export async function listStudentIds(reader: Reader, classId: string): Promise<string[]> {
  const rows: { personId: string }[] = await presentMembers(reader)
    .join('people', 'people.id', 'memberships.personId')
    .whereNull('people.endedAt')
    .where({ classId, role: 'student' })
    .orderBy('memberships.personId')
    .select('memberships.personId')
  return rows.map(({ personId }) => personId)
}

/** Those of guides are set with their guide. */
function setByHand(query: Knex.QueryBuilder): void {
  query.whereNull('assignments.guideId')
}

function assignmentRows(reader: Reader): Knex.QueryBuilder {
  return reader
    .sql('assignments')
    .join('classes', 'classes.id', 'assignments.classId')
    .select('assignments.*', 'classes.name as className', 'classes.code as classCode')
}

function withProgress(reader: Reader, assignments: Knex.QueryBuilder): Knex.QueryBuilder {
  const { sql } = reader
  const inState = (state: string) =>
    sql('submissions')
      .where({ assignmentId: sql.ref('assignments.id'), state })
      .count('*')
  return assignments.select({
    students: presentMembers(reader)
      .where('memberships.classId', sql.ref('assignments.classId'))
      .where('role', 'student')
      .count('*'),
    toRead: inState('with-assessor'),
    accepted: inState('accepted'),
  })
}

function toColumns({ title, brief, requirements, scale, terms, dueLocal, allowsGaps }: AssignmentInput) {
  return {
    title: JSON.stringify(title),
    brief: brief === null ? null : JSON.stringify(brief),
    requirements: JSON.stringify(requirements),
    requirementsSchema: REQUIREMENTS_SCHEMA,
    scale: JSON.stringify(scale),
    terms: JSON.stringify(terms),
    dueLocal,
    allowsGaps: Number(allowsGaps),
  }
}

interface AssignmentRecord {
  readonly id: string
  readonly classId: string
  readonly className: string
  readonly classCode: string
  readonly title: string
  readonly brief: string | null
  readonly requirements: string
  readonly requirementsSchema: number
  readonly scale: string
  readonly terms: string
  readonly dueAt: Instant | null
  readonly dueLocal: string | null
  readonly guideId: string | null
  readonly allowsGaps: number
  readonly setAt: Instant
  readonly endedAt: Instant | null
  readonly revision: number
  readonly students?: number
  readonly toRead?: number
  readonly accepted?: number
}

function toAssignment(row: AssignmentRecord): Assignment {
  const { id, classId, className, classCode, dueAt, dueLocal, guideId, setAt, endedAt, revision } = row
  return {
    ...{ id, classId, className, classCode, dueAt, dueLocal, guideId, setAt, endedAt, revision },
    title: JSON.parse(row.title),
    brief: row.brief === null ? null : JSON.parse(row.brief),
    requirements: upgradeRequirements({
      schema: row.requirementsSchema,
      requirements: JSON.parse(row.requirements),
    }),
    scale: JSON.parse(row.scale),
    terms: JSON.parse(row.terms),
    allowsGaps: row.allowsGaps === 1,
  }
}

function toRow(row: AssignmentRecord): AssignmentRow {
  const { id, classId, className, classCode, dueAt, endedAt } = row
  return {
    ...{ id, classId, className, classCode, dueAt, endedAt },
    title: JSON.parse(row.title),
    students: Number(row.students),
    toRead: Number(row.toRead),
    accepted: Number(row.accepted),
  }
}
