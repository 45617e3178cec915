// The reach of collections as rows, so that lists can join it; recomputed whenever an arrangement changes.
import { reachOf } from '@valise/core/collections'
import type { CollectionItem, Container, Reach } from '@valise/core/collections'
import { isOneOf } from '../database/index.ts'
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
    .modify(
      isOneOf,
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
 * Recomputes the reach of an owner, and writes what has changed of it. Call it in every transaction that changes places,
 * hidden items or binned collections.
 */
export async function rewriteReach(trx: Trx, ownerId: string): Promise<void> {
  const { sql } = trx
  const after = new Map(reachOf(await listContainers(trx, ownerId)).map((row) => [keyOf(row), row]))
  const stored: Reach[] = await sql('reach').where({ ownerId }).select('containerId', 'thingId', 'itemId')
  const before = new Set(stored.map(keyOf))
  for (const row of stored) if (!after.has(keyOf(row))) await sql('reach').where(row).delete()
  const come = [...after].flatMap(([key, row]) => (before.has(key) ? [] : [{ ownerId, ...row }]))
  if (come.length > 0) await sql.batchInsert('reach', come, ROWS_AT_ONCE)
}

function keyOf({ containerId, thingId, itemId }: Reach): string {
  return `${containerId} ${thingId} ${itemId}`
}
