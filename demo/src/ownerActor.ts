// Acting as the owner of the things that are put into the world.
import type { PersonActor } from '@valise/core/people'

export function ownerActor(personId: string): PersonActor {
  return { kind: 'person', personId, sessionId: '', administrator: false, memberships: [] }
}
