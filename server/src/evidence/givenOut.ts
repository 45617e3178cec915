// Whether others were given a version of an item.
import type { Trx } from '../database/index.ts'
import { sealedFilesOf } from '../uses/index.ts'

/** Returns whether others were given this version: on a published page or in a sealed copy. */
export async function isGivenOut(trx: Trx, ownerId: string, evidenceId: string, n: number): Promise<boolean> {
  if (await sealedFilesOf(trx, ownerId, evidenceId, n).first('path')) return true
  const handedOut = trx.sql('publishedHandOuts').where({ evidenceId, evidenceN: n })
  return (await handedOut.first('pageId')) !== undefined
}
