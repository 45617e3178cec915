// Who acts: a person with the memberships of the moment, nobody yet, or the system for a named reason.
import type { ClassRole } from './valueLists.ts'

/** A class that somebody is a member of at this moment. */
interface PresentMembership {
  readonly classId: string
  readonly role: ClassRole
}

export interface PersonActor {
  readonly kind: 'person'
  readonly personId: string
  readonly sessionId: string
  readonly administrator: boolean
  readonly memberships: readonly PresentMembership[]
}

/** A background job. No actor has full rights by default: this one must be named. */
export interface SystemActor {
  readonly kind: 'system'
  readonly reason: string
}

/** Somebody who is not signed in. */
export interface UnknownActor {
  readonly kind: 'unknown'
}

export type Actor = PersonActor | SystemActor | UnknownActor

export function systemActor(reason: string): SystemActor {
  return { kind: 'system', reason }
}

export const unknownActor: UnknownActor = { kind: 'unknown' }

/** Returns the role under which an act is recorded: the strongest one, since that one allowed it. */
export function roleOf(actor: Actor): 'administrator' | ClassRole | 'person' | 'system' | 'unknown' {
  if (actor.kind !== 'person') return actor.kind
  if (actor.administrator) return 'administrator'
  const strongestFirst = ['lead', 'assessor', 'student'] as const
  return strongestFirst.find((role) => actor.memberships.some((m) => m.role === role)) ?? 'person'
}

/** Returns whoever owns something, for what is done in their name without them. */
export function ownerActor(personId: string): PersonActor {
  return { kind: 'person', personId, sessionId: '', administrator: false, memberships: [] }
}
