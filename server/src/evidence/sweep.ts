// The sweep: once an hour, what nobody needs any more goes: old uploads, old recipes, loose files.
import { BIN_KEPT_DAYS } from '@valise/core/bin'
import { UPLOAD_RESUMABLE_HOURS } from '@valise/core/evidence'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction, isClockSteady } from '../database/index.ts'
import { removeLooseFiles } from '../files/index.ts'
import type { EvidenceServices } from './services.ts'
import { deleteOldRecipes } from './recipeStore.ts'
import { deleteUploadsBefore, hasUpload } from './uploadStore.ts'

const EVERY_MINUTES = 60
const LEFTOVERS_KEPT_MS = 24 * 3_600_000

/** Removes what is due. @returns when to run again */
export async function sweep({
  database,
  files,
}: Pick<EvidenceServices, 'database' | 'files'>): Promise<Instant> {
  const { isSteady, now } = await inTransaction(database, async (trx) => {
    const isSteady = await isClockSteady(trx)
    if (isSteady) await deleteUploadsBefore(trx, addMinutes(trx.now, -UPLOAD_RESUMABLE_HOURS * 60))
    return { isSteady, now: trx.now }
  })
  if (isSteady) await deleteOldRecipes(database, addMinutes(now, -BIN_KEPT_DAYS * 24 * 60))
  const reader = database.reader()
  for await (const id of files.incoming.list()) {
    if (!(await hasUpload(reader, id))) await files.incoming.drop(id)
  }
  await files.incoming.clearLeftovers(LEFTOVERS_KEPT_MS)
  await removeLooseFiles(database, files)
  return addMinutes(reader.now, EVERY_MINUTES)
}
