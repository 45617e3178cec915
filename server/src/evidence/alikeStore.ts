// Near-duplicates in the database: pairs of one owner's pictures whose hashes hardly differ.
import { findAlike, isTelling } from '@valise/core/pictures'
import { isOneOf } from '../database/index.ts'
import type { Trx } from '../database/index.ts'

/** Saves the hash of a version and which other pictures of its owner are similar. */
export async function saveSimilarity(
  trx: Trx,
  { evidenceId, n, ownerId }: { readonly evidenceId: string; readonly n: number; readonly ownerId: string },
  hash: string | null,
): Promise<void> {
  const { sql } = trx
  await sql('evidenceVersions').where({ evidenceId, n }).update({ hash })
  const newest = await sql('evidence').where({ id: evidenceId }).first('currentVersion')
  if (newest?.currentVersion !== n) return
  const before = await listSimilar(trx, [evidenceId])
  await sql('nearDuplicates').where({ evidenceId }).orWhere({ otherId: evidenceId }).delete()
  const others: { id: string; hash: string }[] = await sql('evidence')
    .join('evidenceVersions', (join) =>
      join
        .on('evidenceVersions.evidenceId', 'evidence.id')
        .andOn('evidenceVersions.n', 'evidence.currentVersion'),
    )
    .where('evidence.ownerId', ownerId)
    .whereNot('evidence.id', evidenceId)
    .whereNotNull('evidenceVersions.hash')
    .select('evidence.id', 'evidenceVersions.hash')
  const telling = others.filter((other) => isTelling(other.hash))
  const alike = hash !== null && isTelling(hash) ? findAlike(hash, telling).slice(0, 100) : []
  const pairs = alike.flatMap(({ one, distance }) => [
    { evidenceId, otherId: one.id, ownerId, distance },
    { evidenceId: one.id, otherId: evidenceId, ownerId, distance },
  ])
  if (pairs.length > 0) await sql('nearDuplicates').insert(pairs)
  await refreshSimilarity(trx, [evidenceId, ...before, ...alike.map(({ one }) => one.id)])
}

/** Recomputes whether items are similar to another one that is not in the bin. */
export async function refreshSimilarity(trx: Trx, evidenceIds: readonly string[]): Promise<void> {
  const ids = [...new Set(evidenceIds)]
  if (ids.length === 0) return
  const { sql } = trx
  const alike = sql('nearDuplicates')
    .join('evidence as other', 'other.id', 'nearDuplicates.otherId')
    .where('other.isBinned', 0)
    .modify(isOneOf, 'nearDuplicates.evidenceId', ids)
    .select('nearDuplicates.evidenceId')
  const rows: { evidenceId: string }[] = await alike
  const alikeIds = [...new Set(rows.map(({ evidenceId }) => evidenceId))]
  await sql('evidence').modify(isOneOf, 'id', alikeIds).update({ looksAlike: 1 })
  const single = ids.filter((id) => !alikeIds.includes(id))
  await sql('evidence').modify(isOneOf, 'id', single).update({ looksAlike: 0 })
}

/** Lists the items that are similar to any of these; for moves into and out of the bin. */
export async function listSimilar(trx: Trx, evidenceIds: readonly string[]): Promise<string[]> {
  const rows: { otherId: string }[] = await trx
    .sql('nearDuplicates')
    .modify(isOneOf, 'evidenceId', evidenceIds)
    .select('otherId')
  return rows.map(({ otherId }) => otherId)
}
