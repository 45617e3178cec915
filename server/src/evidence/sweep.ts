// The sweep: once an hour, what nobody needs any more goes: old uploads, the bin after its days, loose files.
import { BIN_KEPT_DAYS, UPLOAD_RESUMABLE_HOURS } from '@valise/core/evidence'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction, isClockSteady } from '../database/index.ts'
import type { Trx } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { removeLooseFiles } from '../files/index.ts'
import type { Services } from '../services.ts'
import { removeWords } from '../search/index.ts'
import { refreshCollagesWith } from './collagePictureStore.ts'
import { deleteOldRecipes } from './recipeStore.ts'
import { deleteEvidence, listBinnedBefore } from './store.ts'
import { deleteUploadsBefore, hasUpload } from './uploadStore.ts'

const EVERY_MINUTES = 60
const LEFTOVERS_KEPT_MS = 24 * 3_600_000

/** Removes what is due. @returns when to run again */
export async function sweep({
  database,
  files,
  jobs,
}: Pick<Services, 'database' | 'files' | 'jobs'>): Promise<Instant> {
  await inTransaction(database, async (trx) => {
    if (!(await isClockSteady(trx))) return
    await deleteUploadsBefore(trx, addMinutes(trx.now, -UPLOAD_RESUMABLE_HOURS * 60))
    await removeOldOfBin(trx, jobs)
    await deleteOldRecipes(trx, addMinutes(trx.now, -BIN_KEPT_DAYS * 24 * 60))
  })
  const reader = database.reader()
  for await (const id of files.incoming.list()) {
    if (!(await hasUpload(reader, id))) await files.incoming.drop(id)
  }
  await files.incoming.clearLeftovers(LEFTOVERS_KEPT_MS)
  await removeLooseFiles(database, files)
  return addMinutes(reader.now, EVERY_MINUTES)
}

async function removeOldOfBin(trx: Trx, jobs: Jobs): Promise<void> {
  const before = addMinutes(trx.now, -BIN_KEPT_DAYS * 24 * 60)
  for (;;) {
    const old = await listBinnedBefore(trx, before)
    if (old.length === 0) return
    await removeWords(
      trx,
      old.map(({ searchRow }) => Number(searchRow)),
    )
    for (const { id } of old) {
      await refreshCollagesWith(trx, jobs, id, null, true)
      await deleteEvidence(trx, id)
    }
  }
}
