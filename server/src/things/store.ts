// The table of things: ids, titles, moments and the bin of all that a person owns.
import type { PersonActor } from '@valise/core/people'
import type { ThingKind } from '@valise/core/things'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, isOneOf, newestFirst, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'

export interface ThingRow {
  readonly id: string
  readonly kind: ThingKind
  readonly ownerId: string
  readonly title: string
  readonly changedAt: Instant
  readonly binnedAt: Instant | null
  readonly revision: number
}

/** Inserts a thing, before the row that its kind has for it. */
export async function insertThing(
  trx: Trx,
  thing: Pick<ThingRow, 'id' | 'kind' | 'ownerId' | 'title'>,
): Promise<void> {
  await trx.sql('things').insert({ ...thing, changedAt: trx.now, binnedAt: null, isBinned: 0, revision: 1 })
}

/**
 * Writes down that a thing was changed. A null revision changes unconditionally.
 *
 * @returns false when its revision has changed
 */
export async function changeThing(
  trx: Trx,
  id: string,
  { title, revision = null }: { readonly title?: string; readonly revision?: number | null },
): Promise<boolean> {
  const { sql, now } = trx
  const changed = await sql('things')
    .where({ id, ...(revision !== null && { revision }) })
    .update({ ...(title !== undefined && { title }), changedAt: now, revision: sql.raw('"revision" + 1') })
  return changed === 1
}

/**
 * Writes down that the draft of a thing was changed, whose edits have revisions of their own.
 *
 * @param title what it is called now, where its draft says so
 */
export async function noteDraft(trx: Trx, id: string, title?: string): Promise<void> {
  const named = title === undefined ? {} : { title }
  await trx
    .sql('things')
    .where({ id })
    .update({ ...named, changedAt: trx.now })
}

/** Makes somebody else the owner of a thing. The row of its kind follows by itself. */
export async function giveThing(trx: Trx, id: string, ownerId: string): Promise<void> {
  await trx.sql('things').where({ id }).update({ ownerId })
}

/** Moves things into the bin at a moment, or out of it with null. The rows of their kinds follow by themselves. */
export async function setBinned(trx: Trx, ids: readonly string[], binnedAt: Instant | null): Promise<void> {
  await trx
    .sql('things')
    .modify(isOneOf, 'id', ids)
    .update({ binnedAt, isBinned: Number(binnedAt !== null) })
}

/** Deletes things with all that hangs on them. */
export async function deleteThings(trx: Trx, ids: readonly string[]): Promise<void> {
  await trx.sql('things').modify(isOneOf, 'id', ids).delete()
}

/** Selects the caller's own things. */
export function ownThings({ sql }: Reader, { personId }: PersonActor): Knex.QueryBuilder {
  return sql('things').where('things.ownerId', personId)
}

export async function findOwnThing(reader: Reader, actor: PersonActor, id: string): Promise<ThingRow | null> {
  return (await ownThings(reader, actor).where({ id }).first(columns)) ?? null
}

/** Lists which of these ids are things of one's own of these kinds, binned or not. */
export async function listOwnThings(
  reader: Reader,
  actor: PersonActor,
  kinds: readonly ThingKind[],
  ids: readonly string[],
): Promise<ThingRow[]> {
  if (ids.length === 0) return []
  return ownThings(reader, actor)
    .whereIn('kind', [...kinds])
    .modify(isOneOf, 'id', ids)
    .orderBy('id')
    .select(columns)
}

/** Returns which of these things are gone or in the bin, and so no longer shown. */
export async function listWithheld({ sql }: Reader, ids: readonly string[]): Promise<Set<string>> {
  if (ids.length === 0) return new Set()
  const rows: { id: string }[] = await sql('things')
    .modify(isOneOf, 'id', ids)
    .where({ isBinned: 0 })
    .select('id')
  const there = new Set(rows.map(({ id }) => id))
  return new Set(ids.filter((id) => !there.has(id)))
}

/** Returns whether a thing lies in a collection, or has a pass. */
export async function isReferredTo({ sql }: Reader, thingId: string): Promise<boolean> {
  for (const table of ['collectionItems', 'passes'])
    if (await sql(table).where({ thingId }).first('id')) return true
  return false
}

export function countThings(reader: Reader, actor: PersonActor, kind: ThingKind): Promise<number> {
  return countRows(ownThings(reader, actor).where({ kind, isBinned: 0 }))
}

/** One page of a list of things, with how many there are in all. */
export interface Shelf<Row> {
  readonly items: readonly Row[]
  readonly next: string | null
  readonly count: number
}

/**
 * Lists one page of things, newest first.
 *
 * @param chosen which ones; their count is the count of the list
 * @param shown adds what the list shows of them
 * @param time the moment that the list is sorted by
 */
export async function listShelf<Row extends Pick<ThingRow, 'id' | 'changedAt' | 'binnedAt'>>(
  chosen: Knex.QueryBuilder,
  shown: (query: Knex.QueryBuilder) => void,
  time: 'changedAt' | 'binnedAt',
  wish: PageWish,
): Promise<Shelf<Row>> {
  const page = chosen
    .clone()
    .select(columns.map((column) => `things.${column}`))
    .modify(shown)
  const rows: Row[] = await newestFirst(page, ['things', time], wish)
  const items = rows.slice(0, wish.limit)
  const last = items.at(-1)
  const lastAt = last?.[time]
  return {
    items,
    next: rows.length > wish.limit && last && lastAt ? toCursor([lastAt, last.id]) : null,
    count: await countRows(chosen),
  }
}

const columns = ['id', 'kind', 'ownerId', 'title', 'changedAt', 'binnedAt', 'revision']
