// Acting as members of classes, whose things are put into the world.
import { ownerActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import type { Services } from '@valise/server'

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
