// The list of the kinds of things that passes are given for, and what follows from it for queries over all of them.
import { sharedKinds } from '@valise/core/things'
import type { SharedKind } from '@valise/core/things'
import type { Knex } from 'knex'
import type { Reader } from '../../database/index.ts'
import { collection } from './collection.ts'
import { page } from './page.ts'
import type { ByThing, Publication, ReadableRow, SharedStore } from './SharedStore.ts'

const sharedStores = { page, collection } satisfies Record<SharedKind, SharedStore>

/** Whether a row of `things` is of a kind that is shared, and published where the kind has drafts; in SQL. */
export const isPublishedSql = `(${sharedKinds
  .map((kind) => `("things"."kind" = '${kind}' AND ${sharedStores[kind].isPublished})`)
  .join(' OR ')})`

/** Narrows a query of things to those that others can be shown: published, and not in the bin. */
export function narrowToShown(things: Knex.QueryBuilder): void {
  things.where('things.isBinned', 0).whereRaw(isPublishedSql)
}

/** Returns whether others can be shown a thing, should a pass let them. */
export async function isShownToOthers(reader: Reader, id: string): Promise<boolean> {
  const things = reader.sql('things').where('things.id', id).modify(narrowToShown)
  return (await things.first('things.id')) !== undefined
}

/** Lists those that can be read among some things, as others see them, with their kinds. */
export async function listReadable(
  reader: Reader,
  narrow: ByThing,
): Promise<(ReadableRow & { readonly kind: SharedKind })[]> {
  const found = []
  for (const kind of sharedKinds)
    for (const row of await sharedStores[kind].listReadable(reader, narrow)) found.push({ ...row, kind })
  return found
}

/** Finds how far the things that a query selects are published, by id; without those of kinds that have no draft. */
export async function findPublications(
  reader: Reader,
  ids: Knex.QueryBuilder,
): Promise<ReadonlyMap<string, Publication>> {
  const found = []
  for (const kind of sharedKinds)
    found.push(...(await sharedStores[kind].listPublications(reader, ids.clone())))
  return new Map(found.map((one) => [one.id, one]))
}
