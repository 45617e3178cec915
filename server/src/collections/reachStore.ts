// What collections reach, kept as rows so that lists can ask for it; written anew whenever an arrangement changes.
import { reachOf } from '@valise/core/collections'
import type { CollectionItem, Container } from '@valise/core/collections'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'
import { toItem } from './store.ts'
import type { ItemRow } from './store.ts'

const ROWS_AT_ONCE = 100

/** All collections of somebody with what lies in each, those in the bin included. */
export async function listContainers(reader: Reader, ownerId: string): Promise<Container[]> {
  const collections: { id: string; binnedAt: Instant | null }[] = await reader
    .sql('collections')
    .where({ ownerId })
    .orderBy('id')
    .select('id', 'binnedAt')
  const rows: (ItemRow & { collectionId: string })[] = await reader
    .sql('collectionItems')
    .whereIn(
      'collectionId',
      collections.map(({ id }) => id),
    )
    .orderBy(['collectionId', 'position'])
  const items = new Map<string, CollectionItem[]>(collections.map(({ id }) => [id, []]))
  for (const row of rows) items.get(row.collectionId)?.push(toItem(row))
  return collections.map(({ id, binnedAt }) => ({
    id,
    isBinned: binnedAt !== null,
    items: items.get(id) ?? [],
  }))
}

/** Belongs into every transaction that changes what lies where, what is hidden, or which collection is in the bin. */
export async function rewriteReach(trx: Trx, ownerId: string): Promise<void> {
  const reach = reachOf(await listContainers(trx, ownerId))
  await trx.sql('reach').where({ ownerId }).delete()
  const rows = reach.map((row) => ({ ownerId, ...row }))
  if (rows.length > 0) await trx.sql.batchInsert('reach', rows, ROWS_AT_ONCE)
}
