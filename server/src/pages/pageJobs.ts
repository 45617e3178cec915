// Background work on pages, entries and collections: those whose days in the bin are over go for good.
import { BIN_KEPT_DAYS } from '@valise/core/evidence'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { sweepCollections } from '../collections/index.ts'
import { inTransaction, isClockSteady } from '../database/index.ts'
import { deleteDrafts } from '../drafts/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import { listEntriesBinnedBefore } from '../reflections/index.ts'
import type { Services } from '../services.ts'
import { listPagesBinnedBefore } from './store.ts'

const SWEEP_DRAFTS = 'sweep-drafts'
const EVERY_MINUTES = 60

export function pageJobs(services: Services): Readonly<Record<string, JobHandler>> {
  return { [SWEEP_DRAFTS]: { run: () => sweepDrafts(services) } }
}

/** Schedules the sweep, unless it is scheduled already. */
export function planPageSweep({ database, jobs }: Services): Promise<void> {
  const job = { kind: SWEEP_DRAFTS, payload: {}, dedupeKey: SWEEP_DRAFTS }
  return inTransaction(database, (trx) => jobs.enqueue(trx, job))
}

/** @returns when to sweep again */
function sweepDrafts({ database }: Services): Promise<Instant> {
  return inTransaction(database, async (trx) => {
    if (!(await isClockSteady(trx))) return addMinutes(trx.now, EVERY_MINUTES)
    const over = addMinutes(trx.now, -BIN_KEPT_DAYS * 24 * 60)
    await deleteDrafts(trx, [
      ...(await listPagesBinnedBefore(trx, over)),
      ...(await listEntriesBinnedBefore(trx, over)),
    ])
    await sweepCollections(trx)
    return addMinutes(trx.now, EVERY_MINUTES)
  })
}
