// One's own pages and collections as things that passes are given for, and the places in which they lie.
import type { Sharing, ThingRef } from '@valise/core/access'
import type { HeldThing } from '@valise/core/collections'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader } from '../database/index.ts'

export async function findOwnThing(
  reader: Reader,
  actor: PersonActor,
  { kind, id }: ThingRef,
): Promise<{ readonly id: string; readonly binnedAt: Instant | null } | null> {
  const table = kind === 'page' ? 'pages' : 'collections'
  const row = await reader.sql(table).where({ id, ownerId: actor.personId }).first('id', 'binnedAt')
  return row ?? null
}

/** Lists one's own collections by title, then pages by title, without the bin. */
export async function listOwnThings(reader: Reader, actor: PersonActor): Promise<HeldThing[]> {
  const { sql } = reader
  const collections: { id: string; title: string }[] = await sql('collections')
    .where({ ownerId: actor.personId })
    .whereNull('binnedAt')
    .orderBy(['title', 'id'])
    .select('id', 'title')
  const pages: PageRow[] = await sql('pages')
    .join('drafts', 'drafts.id', 'pages.id')
    .where('pages.ownerId', actor.personId)
    .whereNull('pages.binnedAt')
    .orderBy(['pages.title', 'pages.id'])
    .select('pages.id', 'pages.title', 'pages.publishedAt', 'pages.publishedRevision', 'drafts.revision')
  const never = { publishedAt: null, isNewer: false, binnedAt: null }
  return [
    ...collections.map((one) => ({ ...one, kind: 'collection' as const, ...never })),
    ...pages.map(({ publishedRevision, revision, ...page }) => ({
      ...page,
      kind: 'page' as const,
      isNewer: (publishedRevision ?? 0) < revision,
      binnedAt: null,
    })),
  ]
}

export async function listOwnPlaces(reader: Reader, actor: PersonActor): Promise<Sharing['places']> {
  const { sql } = reader
  const rows: PlaceRow[] = await sql('collectionItems')
    .join('collections', 'collections.id', 'collectionItems.collectionId')
    .where('collections.ownerId', actor.personId)
    .whereNull('collections.binnedAt')
    .whereNot('collectionItems.kind', 'divider')
    .orderBy(['collectionItems.collectionId', 'collectionItems.position'])
    .select('collectionItems.collectionId as containerId', 'collectionItems.isHidden')
    .select(sql.raw('coalesce(??, ??) as ??', ['pageId', 'childId', 'thingId']))
  return rows.map(({ isHidden, ...place }) => ({ ...place, isHidden: isHidden === 1 }))
}

interface PageRow {
  readonly id: string
  readonly title: string
  readonly publishedAt: Instant | null
  readonly publishedRevision: number | null
  readonly revision: number
}

interface PlaceRow {
  readonly containerId: string
  readonly thingId: string
  readonly isHidden: number
}
