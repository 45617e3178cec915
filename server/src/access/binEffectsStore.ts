// What hangs on a page or a collection of one's own: who sees it, where it lies, and what it was chosen or handed in for.
import type { BinEffects, ThingRef } from '@valise/core/access'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { countSeers } from './audienceStore.ts'

/** Finds the effects for a thing that is known to be the caller's own. */
export async function findBinEffects(
  reader: Reader,
  actor: PersonActor,
  { kind, id }: ThingRef,
): Promise<BinEffects> {
  const { sql } = reader
  const published =
    kind === 'page' ? await sql('pages').where({ id }).whereNotNull('published').first('id') : undefined
  const collections: { title: string }[] = await sql('collectionItems')
    .join('collections', 'collections.id', 'collectionItems.collectionId')
    .where(kind === 'page' ? { pageId: id } : { childId: id })
    .whereNull('collections.binnedAt')
    .orderBy(['collections.title', 'collections.id'])
    .select('collections.title')
  const chosen = await sql('chosenParts').where({ pageId: id, isIn: 1 }).count({ count: '*' }).first()
  const handedIn = await sql('submissionParts')
    .join('submissions', 'submissions.id', 'submissionParts.submissionId')
    .where({ thingId: id, 'submissions.ownerId': actor.personId })
    .whereNot('submissions.state', 'taken-back')
    .count({ count: '*' })
    .first()
  return {
    isPublished: published !== undefined,
    seenBy: await countSeers(reader, actor, id),
    collections: collections.map(({ title }) => title),
    chosenFor: Number(chosen?.count ?? 0),
    handedIn: Number(handedIn?.count ?? 0),
  }
}
