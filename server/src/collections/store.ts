// Collections in the database: the author's own list, and what lies in one.
import { thingOf } from '@valise/core/collections'
import type {
  Arrangement,
  CollectionItem,
  CollectionList,
  CollectionRow,
  HeldThing,
} from '@valise/core/collections'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { listHeld } from '../access/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'
import { changeThing, listOwnThings, listShelf, ownThings } from '../things/index.ts'

/** Lists one page of an owner's collections, last changed first. */
export async function listCollections(
  reader: Reader,
  actor: PersonActor,
  wish: PageWish,
): Promise<CollectionList> {
  const live = ownThings(reader, actor).where({ kind: 'collection', 'things.isBinned': 0 })
  const shelf = await listShelf<CollectionRow>(live, (query) => withPages(reader, query), 'changedAt', wish)
  return { ...shelf, items: shelf.items.map(toRow) }
}

export interface CollectionHead {
  readonly id: string
  readonly title: string
  readonly changedAt: Instant
  readonly binnedAt: Instant | null
  readonly revision: number
}

export async function findCollection(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<CollectionHead | null> {
  const [row] = await listOwnThings(reader, actor, ['collection'], [id])
  if (!row) return null
  const { title, changedAt, binnedAt, revision } = row
  return { id, title, changedAt, binnedAt, revision }
}

export async function listItems(reader: Reader, collectionId: string): Promise<CollectionItem[]> {
  const rows: ItemRow[] = await reader
    .sql('collectionItems')
    .where({ collectionId })
    .orderBy(['position', 'id'])
  return rows.map(toItem)
}

/** Lists what lies in a collection, as its author sees it. */
export function listHeldThings(reader: Reader, collectionId: string): Promise<HeldThing[]> {
  const held = reader.sql('collectionItems').where({ collectionId }).select('thingId')
  return listHeld(reader, reader.sql('things').whereIn('things.id', held))
}

/** Inserts the collection of a thing that is there already. */
export async function insertCollection(trx: Trx, actor: PersonActor, id: string): Promise<void> {
  const row = { id, ownerId: actor.personId, isBinned: 0, createdAt: trx.now }
  await trx.sql('collections').insert(row)
}

/** Saves an arrangement. @returns false when its revision has changed */
export async function saveArrangement(
  trx: Trx,
  id: string,
  revision: number,
  { title, items }: Arrangement,
): Promise<boolean> {
  if (!(await changeThing(trx, id, { title, revision }))) return false
  await trx.sql('collectionItems').where({ collectionId: id }).delete()
  const rows = items.map((item, position) => ({
    id: item.id,
    collectionId: id,
    position,
    thingId: thingOf(item),
    title: 'title' in item ? item.title : null,
    isHidden: Number(item.isHidden),
  }))
  if (rows.length > 0) await trx.sql.batchInsert('collectionItems', rows, 100)
  return true
}

function withPages({ sql }: Reader, things: Knex.QueryBuilder): void {
  const held = () =>
    sql('collectionItems')
      .join('pages', 'pages.id', 'collectionItems.thingId')
      .where({ 'collectionItems.collectionId': sql.ref('things.id'), 'pages.isBinned': 0 })
      .count('*')
  things.select({
    pages: held(),
    published: held().whereNotNull('pages.published').where('collectionItems.isHidden', 0),
  })
}

export interface ItemRow {
  readonly id: string
  /** Null for a divider. */
  readonly thingId: string | null
  readonly title: string | null
  readonly isHidden: number
}

export function toItem({ id, thingId, title, ...row }: ItemRow): CollectionItem {
  const isHidden = row.isHidden === 1
  if (thingId !== null) return { id, kind: 'thing', thingId, isHidden }
  return { id, kind: 'divider', title: title ?? '', isHidden }
}

function toRow(row: CollectionRow): CollectionRow {
  const { id, title, changedAt, binnedAt } = row
  return { id, title, pages: Number(row.pages), published: Number(row.published), changedAt, binnedAt }
}
