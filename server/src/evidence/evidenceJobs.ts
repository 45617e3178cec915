// Background work on evidence: making renditions, sweeping.
import { inTransaction } from '../database/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import type { Services } from '../services.ts'
import { RENDER_VERSION, SWEEP } from './jobNames.ts'
import type { RenderedPicture } from './renderPicture.ts'
import { sweep } from './sweep.ts'
import { findVersion, saveRenditions } from './versionStore.ts'

/** Who does which kind of work on evidence. */
export function evidenceJobs(services: Services): Readonly<Record<string, JobHandler>> {
  return {
    [RENDER_VERSION]: {
      run: ({ evidenceId, n }) => renderVersion(services, String(evidenceId), Number(n)),
      giveUp: ({ evidenceId, n }) =>
        keepRenditions(services, String(evidenceId), Number(n), { made: [], problem: 'picture-damaged' }),
    },
    [SWEEP]: { run: () => sweep(services) },
  }
}

/** Has the sweep begin, where it is not on its way already. */
export function planSweep({ database, jobs }: Services): Promise<void> {
  return inTransaction(database, (trx) => jobs.enqueue(trx, { kind: SWEEP, payload: {}, dedupeKey: SWEEP }))
}

async function renderVersion(services: Services, evidenceId: string, n: number): Promise<void> {
  const version = await findVersion(services.database.reader(), evidenceId, n)
  // Removed for good meanwhile.
  if (!version) return
  const rendered = await services.workers.run('render', { sha256: version.fileSha256 })
  await keepRenditions(services, evidenceId, n, rendered)
}

async function keepRenditions(
  { database }: Services,
  evidenceId: string,
  n: number,
  rendered: RenderedPicture,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, evidenceId, n)
    if (version) await saveRenditions(trx, version, rendered)
  })
}
