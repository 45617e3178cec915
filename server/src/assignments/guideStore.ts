// The assignments that guides are handed in for, one for each class, in the database.
import type { AssignmentInput } from '@valise/core/assignments'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { endAssignment, insertAssignment, updateAssignment } from './store.ts'

export interface GuideAssignment {
  readonly id: string
  readonly guideId: string
  readonly classId: string
  readonly dueAt: Instant | null
  readonly endedAt: Instant | null
  readonly revision: number
}

/** Lists the assignments of these guides, in all of their classes. */
export async function listOfGuides(reader: Reader, guideIds: readonly string[]): Promise<GuideAssignment[]> {
  return reader
    .sql('assignments')
    .modify(isOneOf, 'guideId', guideIds)
    .orderBy('id')
    .select('id', 'guideId', 'classId', 'dueAt', 'endedAt', 'revision')
}

interface SettingOfGuide {
  readonly guideId: string
  readonly classIds: readonly string[]
  readonly input: AssignmentInput
  readonly dueAt: Instant | null
}

/** Sets the assignment of a guide for these classes, as the guide is now, and ends it for all others. */
export async function setForGuide(
  trx: Trx,
  actor: PersonActor,
  { guideId, classIds, input, dueAt }: SettingOfGuide,
): Promise<void> {
  const there = await listOfGuides(trx, [guideId])
  for (const one of there) {
    const isSet = classIds.includes(one.classId)
    if (isSet) await updateAssignment(trx, one.id, one.revision, input, dueAt)
    if (isSet !== (one.endedAt === null)) await endAssignment(trx, one.id, isSet ? null : trx.now)
    // What is due later than it was is collected anew.
    if (dueAt !== one.dueAt) await trx.sql('assignments').where({ id: one.id }).update({ collectedAt: null })
  }
  for (const classId of classIds)
    if (!there.some((one) => one.classId === classId))
      await insertAssignment(trx, actor, classId, input, dueAt, guideId)
}

/** Lists the assignments of guides that are due and were not collected yet, those due longest first. */
export async function listToCollect(reader: Reader, most: number): Promise<GuideAssignment[]> {
  return reader
    .sql('assignments')
    .whereNotNull('guideId')
    .whereNull('collectedAt')
    .where('dueAt', '<=', reader.now)
    .orderBy(['dueAt', 'id'])
    .limit(most)
    .select('id', 'guideId', 'classId', 'dueAt', 'endedAt', 'revision')
}

export async function noteCollected(trx: Trx, id: string): Promise<void> {
  await trx.sql('assignments').where({ id }).update({ collectedAt: trx.now })
}
