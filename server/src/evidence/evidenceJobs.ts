// Background work on evidence: making renditions, sweeping.
import { inTransaction } from '../database/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import type { Services } from '../services.ts'
import { RENDER_VERSION, SWEEP } from './jobNames.ts'
import { sweep } from './sweep.ts'
import { findVersion, saveRenditions } from './versionStore.ts'

/** Who does which kind of work on evidence. */
export function evidenceJobs(services: Services): Readonly<Record<string, JobHandler>> {
  return {
    [RENDER_VERSION]: ({ evidenceId, n }) => renderVersion(services, String(evidenceId), Number(n)),
    [SWEEP]: () => sweep(services),
  }
}

/** Has the sweep begin, where it is not on its way already. */
export function planSweep({ database, jobs }: Services): Promise<void> {
  return inTransaction(database, (trx) => jobs.enqueue(trx, { kind: SWEEP, payload: {}, dedupeKey: SWEEP }))
}

async function renderVersion({ database, workers }: Services, evidenceId: string, n: number): Promise<void> {
  const version = await findVersion(database.reader(), evidenceId, n)
  // Removed for good meanwhile.
  if (!version) return
  const rendered = await workers.run('render', { sha256: version.fileSha256 })
  await inTransaction(database, async (trx) => {
    if (await findVersion(trx, evidenceId, n)) await saveRenditions(trx, version, rendered)
  })
}
