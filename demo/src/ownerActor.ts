// Acting as the owner of the things that are put into the world.
import type { PersonActor } from '@valise/core/people'
import type { Services } from '@valise/server'

export function ownerActor(personId: string): PersonActor {
  return { kind: 'person', personId, sessionId: '', administrator: false, memberships: [] }
}

/** Acting as somebody who is in classes, for what only their members may do. */
export async function memberActor({ database }: Services, personId: string): Promise<PersonActor> {
  const memberships = await database
    .reader()
    .sql('memberships')
    .where({ personId })
    .orderBy('id')
    .select('classId', 'role')
  return { ...ownerActor(personId), memberships }
}
