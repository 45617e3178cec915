// One's own things that passes are given for, and the places in which they lie.
import type { Sharing } from '@valise/core/access'
import type { HeldThing } from '@valise/core/collections'
import type { PersonActor } from '@valise/core/people'
import { sharedKinds } from '@valise/core/things'
import type { SharedKind } from '@valise/core/things'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import type { Reader } from '../database/index.ts'
import { ownThings } from '../things/index.ts'
import { findPublications } from './shared/sharedThingStore.ts'

/** Lists one's own collections by title, then pages by title, without the bin. */
export async function listOwnShared(reader: Reader, actor: PersonActor): Promise<HeldThing[]> {
  const own = ownThings(reader, actor)
    .whereIn('things.kind', [...sharedKinds])
    .where('things.isBinned', 0)
  return listHeld(reader, own)
}

/** Lists things as their author sees them in collections: by kind, then by title. */
export async function listHeld(reader: Reader, things: Knex.QueryBuilder): Promise<HeldThing[]> {
  const rows: HeldRow[] = await things
    .clone()
    .orderBy(['things.kind', 'things.title', 'things.id'])
    .select(['id', 'kind', 'title', 'binnedAt'].map((column) => `things.${column}`))
  const publications = await findPublications(reader, things.clone().select('things.id'))
  return rows.map((row) => {
    const { publishedAt = null, isNewer = false } = publications.get(row.id) ?? {}
    return { ...row, publishedAt, isNewer }
  })
}

export async function listOwnPlaces(reader: Reader, actor: PersonActor): Promise<Sharing['places']> {
  const rows: PlaceRow[] = await reader
    .sql('collectionItems')
    .join('collections', 'collections.id', 'collectionItems.collectionId')
    .where({ 'collections.ownerId': actor.personId, 'collections.isBinned': 0 })
    .whereNotNull('collectionItems.thingId')
    .orderBy(['collectionItems.collectionId', 'collectionItems.position'])
    .select('collectionId as containerId', 'thingId', 'isHidden')
  return rows.map(({ isHidden, ...place }) => ({ ...place, isHidden: isHidden === 1 }))
}

interface HeldRow {
  readonly id: string
  readonly kind: SharedKind
  readonly title: string
  readonly binnedAt: Instant | null
}

interface PlaceRow {
  readonly containerId: string
  readonly thingId: string
  readonly isHidden: number
}
