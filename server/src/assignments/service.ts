// Assignments: setting one for a class, changing it, ending it.
import { decideAssignment, roleInAssignments } from '@valise/core/assignments'
import type { Assignment, AssignmentInput, NewAssignment } from '@valise/core/assignments'
import { toPlainLine } from '@valise/core/people'
import type { Localized, PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import { changesBetween } from '@valise/core/records'
import type { RecordAction, RecordChanges } from '@valise/core/records'
import { localToInstant } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { tellNews } from '../news/index.ts'
import { getSchool } from '../people/index.ts'
import { appendRecord } from '../records/index.ts'
import * as store from './store.ts'

/** Returns an assignment. @throws AppError `not-found` for people outside its class, as for a missing one */
export async function getAssignment(
  reader: Reader,
  actor: PersonActor,
  id: string,
  side: store.AssignmentSide = 'all',
): Promise<Assignment> {
  const found = await store.findAssignment(reader, actor, id, side)
  if (!found) throw new AppError('not-found', 'not-found')
  return found
}

export function setAssignment(
  on: Writable,
  actor: PersonActor,
  { classId, ...wish }: NewAssignment,
): Promise<Assignment> {
  return inTransaction(on, async (trx) => {
    if (roleInAssignments(actor, classId) !== 'assessor') throw new AppError('not-found', 'not-found')
    const input = tidied(wish)
    const id = await store.insertAssignment(trx, actor, classId, input, await dueAtOf(trx, input))
    await noteAct(trx, actor, 'assignment-set', id, changesBetween({}, settingsOf(input)))
    const assignment = await getAssignment(trx, actor, id)
    for (const personId of await store.listStudentIds(trx, classId))
      await tellNews(trx, {
        personId,
        kind: 'assignment-set',
        params: { assignmentId: id, title: input.title, className: assignment.className },
      })
    return assignment
  })
}

/** Changes an assignment. Submissions keep the requirements under which they were handed in. */
export function changeAssignment(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
  wish: AssignmentInput,
): Promise<Assignment> {
  return inTransaction(on, async (trx) => {
    const before = await getSetByHand(trx, actor, id)
    const input = tidied(wish)
    if (!(await store.updateAssignment(trx, id, revision, input, await dueAtOf(trx, input))))
      throw new AppError('stale', 'stale')
    await noteAct(trx, actor, 'assignment-changed', id, changesBetween(settingsOf(before), settingsOf(input)))
    return getAssignment(trx, actor, id)
  })
}

/** Ends an assignment: nobody can hand in until it is opened again. */
export function endAssignment(
  on: Writable,
  actor: PersonActor,
  id: string,
  isEnded: boolean,
): Promise<Assignment> {
  return inTransaction(on, async (trx) => {
    const before = await getSetByHand(trx, actor, id)
    if ((before.endedAt !== null) === isEnded) return before
    await store.endAssignment(trx, id, isEnded ? trx.now : null)
    await noteAct(trx, actor, 'assignment-ended', id, changesBetween({ ended: !isEnded }, { ended: isEnded }))
    return getAssignment(trx, actor, id)
  })
}

/** Removes an assignment for good; refused when something was handed in for it. */
export function removeAssignment(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    await getSetByHand(trx, actor, id)
    if (await store.hasSubmissions(trx, id)) throw new AppError('conflict', 'has-submissions')
    await store.deleteAssignment(trx, id)
    await noteAct(trx, actor, 'assignment-removed', id)
  })
}

/** @throws AppError `conflict` for one that comes from a guide, and is changed with it */
async function getSetByHand(trx: Trx, actor: PersonActor, id: string): Promise<Assignment> {
  const found = await getAssignment(trx, actor, id, 'assessor')
  if (found.guideId !== null) throw new AppError('conflict', 'guide-sets')
  return found
}

function tidied(input: AssignmentInput): AssignmentInput {
  assertAllowed(decideAssignment(input), 'invalid')
  const title = inOneLine(input.title)
  if (Object.keys(title).length > 0) return { ...input, title }
  throw new AppError('invalid', 'invalid-input', { fields: [{ path: '/title', reason: 'missing' }] })
}

function inOneLine(text: Localized): Localized {
  const lines = Object.entries(text).map(([language, line]) => [language, toPlainLine(line)] as const)
  return Object.fromEntries(lines.filter(([, line]) => line !== ''))
}

/** A due time belongs to those it binds: where a local time exists twice, the later one. */
async function dueAtOf(trx: Trx, { dueLocal }: AssignmentInput): Promise<Instant | null> {
  if (dueLocal === null) return null
  const { timeZone } = await getSchool(trx)
  try {
    return localToInstant(dueLocal, timeZone, 'until')
  } catch (cause) {
    const fields = [{ path: '/dueLocal', reason: 'malformed' as const }]
    throw new AppError('invalid', 'invalid-input', { fields, cause })
  }
}

/** What the records keep of an assignment: settings, never its words. */
function settingsOf({ dueLocal, allowsGaps, requirements, scale }: AssignmentInput) {
  return { dueLocal, allowsGaps, requirements: requirements.length, levels: scale.length }
}

function noteAct(
  trx: Trx,
  actor: PersonActor,
  action: RecordAction,
  id: string,
  changes?: RecordChanges,
): Promise<void> {
  return appendRecord(trx, actor, {
    action,
    subject: 'assignment',
    subjectId: id,
    ...(changes && { changes }),
  })
}
