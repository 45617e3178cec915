// Whether an item is used anywhere, stored on the item so that lists can filter by it.
import type { Shown } from '@valise/core/pages'
import type { Knex } from 'knex'
import type { Reader, Trx } from '../database/index.ts'

/**
 * Recomputes whether these items are used: on a live page or entry, chosen for an assignment, or handed in. Call it
 * in the transaction that changes one of these.
 */
export async function refreshUses(trx: Trx, evidenceIds: readonly string[]): Promise<void> {
  const ids = [...new Set(evidenceIds)]
  if (ids.length === 0) return
  const { sql } = trx
  const used = sql('draftEvidence')
    .leftJoin('pages', 'pages.id', 'draftEvidence.draftId')
    .leftJoin('logEntries', 'logEntries.id', 'draftEvidence.draftId')
    .whereNull('pages.binnedAt')
    .whereNull('logEntries.binnedAt')
    .whereIn('draftEvidence.evidenceId', ids)
    .select('draftEvidence.evidenceId')
    .union([
      sql('collagePictures')
        .join('evidence as collages', 'collages.id', 'collagePictures.collageId')
        .whereNull('collages.binnedAt')
        .whereRaw('?? = ??', ['collagePictures.n', 'collages.currentVersion'])
        .whereIn('pictureId', ids)
        .select({ evidenceId: 'pictureId' }),
      sql('chosenParts').where({ isIn: 1 }).whereIn('evidenceId', ids).select('evidenceId'),
      sql('submissionParts')
        .where({ kind: 'evidence' })
        .whereIn('thingId', ids)
        .select({ evidenceId: 'thingId' }),
    ])
    .as('used')
  const rows: { evidenceId: string }[] = await sql.select('evidenceId').from(used)
  const usedIds = rows.map(({ evidenceId }) => evidenceId)
  await sql('evidence').whereIn('id', usedIds).where({ isUnused: 1 }).update({ isUnused: 0 })
  const unused = ids.filter((id) => !usedIds.includes(id))
  await sql('evidence').whereIn('id', unused).where({ isUnused: 0 }).update({ isUnused: 1 })
}

/** Recomputes the use of everything that a draft shows; for moves into and out of the bin. */
export async function refreshUsesOfDraft(trx: Trx, draftId: string): Promise<void> {
  const rows: { evidenceId: string }[] = await trx
    .sql('draftEvidence')
    .where({ draftId })
    .select('evidenceId')
  await refreshUses(
    trx,
    rows.map(({ evidenceId }) => evidenceId),
  )
}

/**
 * The files that sealed copies of its owner keep of an item, or of one version of it. A copy names them by both, as in
 * `files/<item>-<version>.webp`.
 */
export function sealedFilesOf(
  { sql }: Reader,
  ownerId: string,
  evidenceId: string,
  n: number | null = null,
): Knex.QueryBuilder {
  const own = sql('submissions').where({ ownerId }).select('id')
  const name = `files/${evidenceId}-${n ?? ''}`
  const endings = n === null ? ['%'] : ['', '.%', '-%']
  return sql('sealedFiles')
    .whereIn('submissionId', own)
    .where((q) => endings.forEach((ending) => void q.orWhereLike('path', name + ending)))
}

/** Returns whether others were given this version: on a published page or in a sealed copy. */
export async function isGivenOut(trx: Trx, ownerId: string, evidenceId: string, n: number): Promise<boolean> {
  const { sql } = trx
  if (await sealedFilesOf(trx, ownerId, evidenceId, n).first('path')) return true
  const pages = sql('publishedEvidence').where({ evidenceId }).select('pageId')
  const published: { shown: string }[] = await sql('publishedPages').whereIn('pageId', pages).select('shown')
  return published.some(({ shown }) => {
    const { evidence }: Shown = JSON.parse(shown)
    return Object.values(evidence).some((item) => item.id === evidenceId && item.n === n)
  })
}
