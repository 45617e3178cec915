// Collections in the database: the author's own list, and what lies in one.
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
import { countRows, newestFirst, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'

export type CollectionShelf = 'live' | 'bin'

/** Lists one page of an owner's collections: last changed first, or last binned first. */
export async function listCollections(
  reader: Reader,
  actor: PersonActor,
  shelf: CollectionShelf,
  wish: PageWish,
): Promise<CollectionList> {
  const time = shelf === 'live' ? 'changedAt' : 'binnedAt'
  const onShelf = ownCollections(reader, actor).modify((q) =>
    shelf === 'live' ? q.whereNull('binnedAt') : q.whereNotNull('binnedAt'),
  )
  const rows: CollectionRow[] = await newestFirst(
    withPages(reader, onShelf.clone()),
    ['collections', time],
    wish,
  )
  const items = rows.slice(0, wish.limit).map(toRow)
  const last = items.at(-1)
  const lastAt = shelf === 'live' ? last?.changedAt : last?.binnedAt
  return {
    items,
    next: rows.length > wish.limit && last && lastAt ? toCursor([lastAt, last.id]) : null,
    count: await countRows(onShelf),
  }
}

export function countCollections(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(ownCollections(reader, actor).whereNull('binnedAt'))
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
  const row = await ownCollections(reader, actor).where({ id }).first()
  if (!row) return null
  const { title, changedAt, binnedAt, revision } = row
  return { id, title, changedAt, binnedAt, revision }
}

export async function listItems(reader: Reader, collectionId: string): Promise<CollectionItem[]> {
  const rows = await reader.sql('collectionItems').where({ collectionId }).orderBy(['position', 'id'])
  return rows.map(toItem)
}

/** Lists the pages and collections in a collection, as their author sees them. */
export async function listHeldThings(reader: Reader, collectionId: string): Promise<HeldThing[]> {
  const { sql } = reader
  const pages: HeldPage[] = await sql('collectionItems')
    .join('pages', 'pages.id', 'collectionItems.pageId')
    .join('drafts', 'drafts.id', 'pages.id')
    .where({ collectionId })
    .orderBy('pages.id')
    .select('pages.id', 'pages.title', 'pages.publishedAt', 'pages.publishedRevision', 'pages.binnedAt')
    .select('drafts.revision')
  const collections: Pick<HeldThing, 'id' | 'title' | 'binnedAt'>[] = await sql('collectionItems')
    .join('collections', 'collections.id', 'collectionItems.childId')
    .where({ collectionId })
    .orderBy('collections.id')
    .select('collections.id', 'collections.title', 'collections.binnedAt')
  return [
    ...pages.map(({ publishedRevision, revision, ...page }) => ({
      ...page,
      kind: 'page' as const,
      isNewer: (publishedRevision ?? 0) < revision,
    })),
    ...collections.map((one) => ({
      ...one,
      kind: 'collection' as const,
      publishedAt: null,
      isNewer: false,
    })),
  ]
}

export async function insertCollection(
  trx: Trx,
  actor: PersonActor,
  id: string,
  title: string,
): Promise<void> {
  await trx.sql('collections').insert({
    id,
    ownerId: actor.personId,
    title,
    createdAt: trx.now,
    changedAt: trx.now,
    binnedAt: null,
    revision: 1,
  })
}

/** Saves an arrangement. @returns false when its revision has changed */
export async function saveArrangement(
  trx: Trx,
  id: string,
  revision: number,
  { title, items }: Arrangement,
): Promise<boolean> {
  const changed = await trx
    .sql('collections')
    .where({ id, revision })
    .update({ title, changedAt: trx.now, revision: revision + 1 })
  if (changed !== 1) return false
  await trx.sql('collectionItems').where({ collectionId: id }).delete()
  const rows = items.map((item, position) => ({
    id: item.id,
    collectionId: id,
    position,
    kind: item.kind,
    pageId: item.kind === 'page' ? item.pageId : null,
    childId: item.kind === 'collection' ? item.collectionId : null,
    title: item.kind === 'divider' ? item.title : null,
    isHidden: Number(item.isHidden),
  }))
  if (rows.length > 0) await trx.sql.batchInsert('collectionItems', rows, 100)
  return true
}

/** Returns which of these ids are the owner's pages and collections, binned or not. */
export async function listOwnThingIds(
  reader: Reader,
  actor: PersonActor,
  table: 'pages' | 'collections',
  ids: readonly string[],
): Promise<string[]> {
  const rows: { id: string }[] = await reader
    .sql(table)
    .where({ ownerId: actor.personId })
    .whereIn('id', [...ids])
    .select('id')
  return rows.map(({ id }) => id)
}

export async function binCollection(trx: Trx, id: string, binnedAt: Instant | null): Promise<void> {
  await trx.sql('collections').where({ id }).update({ binnedAt })
}

/** Its places, what it reached and its passes go with it; pages and collections that lay in it stay. */
/** Returns whether a collection is in another one, or has a pass. */
export async function isReferredTo({ sql }: Reader, id: string): Promise<boolean> {
  const [held] = await sql('collectionItems').where({ childId: id }).select('id').limit(1)
  const [pass] = await sql('passes').where({ collectionId: id }).select('id').limit(1)
  return held !== undefined || pass !== undefined
}

export async function deleteCollections(trx: Trx, ids: readonly string[]): Promise<void> {
  await trx.sql('collections').whereIn('id', ids).delete()
}

/** Lists the collections whose days in the bin are over. */
export async function listCollectionsBinnedBefore(
  reader: Reader,
  before: Instant,
): Promise<{ readonly id: string; readonly ownerId: string }[]> {
  return reader.sql('collections').where('binnedAt', '<=', before).select('id', 'ownerId').orderBy('id')
}

function ownCollections(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('collections').where('collections.ownerId', actor.personId)
}

function withPages(reader: Reader, collections: Knex.QueryBuilder): Knex.QueryBuilder {
  const { sql } = reader
  const held = () =>
    sql('collectionItems')
      .join('pages', 'pages.id', 'collectionItems.pageId')
      .where('collectionItems.collectionId', sql.ref('collections.id'))
      .whereNull('pages.binnedAt')
      .count('*')
  return collections.select('collections.*', {
    pages: held(),
    published: held().whereNotNull('pages.published').where('collectionItems.isHidden', 0),
  })
}

export interface ItemRow {
  readonly id: string
  readonly kind: CollectionItem['kind']
  readonly pageId: string | null
  readonly childId: string | null
  readonly title: string | null
  readonly isHidden: number
}

export function toItem({ id, kind, pageId, childId, title, ...row }: ItemRow): CollectionItem {
  const isHidden = row.isHidden === 1
  if (kind === 'page') return { id, kind, pageId: pageId ?? '', isHidden }
  if (kind === 'collection') return { id, kind, collectionId: childId ?? '', isHidden }
  return { id, kind, title: title ?? '', isHidden }
}

interface HeldPage extends Omit<HeldThing, 'kind' | 'isNewer'> {
  readonly publishedRevision: number | null
  readonly revision: number
}

function toRow(row: CollectionRow): CollectionRow {
  const { id, title, changedAt, binnedAt } = row
  return { id, title, pages: Number(row.pages), published: Number(row.published), changedAt, binnedAt }
}
