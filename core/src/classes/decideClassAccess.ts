// Who may open a class.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import type { Actor } from '../people/index.ts'

/** Allows current members and administrators; for everybody else the class does not exist. */
export function decideClassAccess(actor: Actor, classId: string): Decision {
  if (actor.kind !== 'person') return actor.kind === 'system' ? yes : no('not-found')
  const isMember = actor.memberships.some((membership) => membership.classId === classId)
  return isMember || actor.administrator ? yes : no('not-found')
}
