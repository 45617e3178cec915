// Where new things land: the class and the assignment that one stands in, as far as they are one's own.
import type { Landing } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'

export interface LandingPlace {
  readonly classId: string | null
  readonly assignmentId: string | null
}

/**
 * Checks the class and assignment for a new item. Values that are not the caller's are ignored; the item is saved all
 * the same.
 */
export async function findLanding(reader: Reader, actor: PersonActor, wish: Landing): Promise<LandingPlace> {
  const classIds = actor.memberships.map(({ classId }) => classId)
  const assignment: { id: string; classId: string } | undefined =
    wish.assignmentId === undefined
      ? undefined
      : await reader
          .sql('assignments')
          .where({ id: wish.assignmentId })
          .modify(isOneOf, 'classId', classIds)
          .first('id', 'classId')
  const inView = wish.classId !== undefined && classIds.includes(wish.classId) ? wish.classId : null
  return { classId: assignment?.classId ?? inView, assignmentId: assignment?.id ?? null }
}
