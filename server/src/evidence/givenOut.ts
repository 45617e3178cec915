// Whether others were given a version of an item.
import type { Shown } from '@valise/core/pages'
import type { Trx } from '../database/index.ts'
import { sealedFilesOf } from '../uses/index.ts'

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
