// What hangs on a thing of one's own: where it lies, and what it was chosen or handed in for.
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import { countRows, isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import type { ThingRow } from '../things/index.ts'

/** Lists the titles of the collections that a thing lies in. */
export function listTitlesAround({ sql }: Reader, thingId: string): Promise<string[]> {
  return sql('collectionItems')
    .join('things', 'things.id', 'collectionItems.collectionId')
    .where({ thingId, 'things.isBinned': 0 })
    .orderBy(['things.title', 'things.id'])
    .pluck('things.title')
}

/** Counts for how many assignments a thing is chosen. */
export function countChosen({ sql }: Reader, thingId: string): Promise<number> {
  return countRows(sql('chosenParts').where({ thingId, isIn: 1 }))
}

/** Counts in how many sealed copies a thing went. */
export function countHandedIn({ sql }: Reader, actor: PersonActor, thingId: string): Promise<number> {
  return countRows(
    sql('submissionParts')
      .join('submissions', 'submissions.id', 'submissionParts.submissionId')
      .where({ thingId, 'submissions.ownerId': actor.personId })
      .whereNot('submissions.state', 'taken-back'),
  )
}

/** Lists some of the things whose days in the bin are over, of all people. */
export function listBinnedBefore(
  { sql }: Reader,
  before: Instant,
  { most, among }: { readonly most: number; readonly among?: readonly string[] },
): Promise<ThingRow[]> {
  const due = sql('things').where('binnedAt', '<=', before).orderBy(['binnedAt', 'id']).limit(most)
  return among ? due.modify(isOneOf, 'id', among) : due
}
