// The reach of collections as rows, so that lists can join it; recomputed whenever an arrangement changes.
import { reachOf } from '@valise/core/collections'
import type { CollectionItem, Container } from '@valise/core/collections'
import type { Reader, Trx } from '../database/index.ts'
import { toItem } from './store.ts'
import type { ItemRow } from './store.ts'

const ROWS_AT_ONCE = 100

/** Lists all collections of an owner with their items, binned ones included. */
export async function listContainers(reader: Reader, ownerId: string): Promise<Container[]> {
  const collections: { id: string; isBinned: number }[] = await reader
    .sql('collections')
    .where({ ownerId })
    .orderBy('id')
    .select('id', 'isBinned')
  const rows: (ItemRow & { collectionId: string })[] = await reader
    .sql('collectionItems')
    .whereIn(
      'collectionId',
      collections.map(({ id }) => id),
    )
    .orderBy(['collectionId', 'position'])
  const items = new Map<string, CollectionItem[]>(collections.map(({ id }) => [id, []]))
  for (const row of rows) items.get(row.collectionId)?.push(toItem(row))
  return collections.map(({ id, isBinned }) => ({
    id,
    isBinned: isBinned === 1,
    items: items.get(id) ?? [],
  }))
}

/**
 * Recomputes the reach of an owner. Call it in every transaction that changes places, hidden items or binned
 * collections.
 */
export async function rewriteReach(trx: Trx, ownerId: string): Promise<void> {
  const reach = reachOf(await listContainers(trx, ownerId))
  await trx.sql('reach').where({ ownerId }).delete()
  const rows = reach.map((row) => ({ ownerId, ...row }))
  if (rows.length > 0) await trx.sql.batchInsert('reach', rows, ROWS_AT_ONCE)
}
