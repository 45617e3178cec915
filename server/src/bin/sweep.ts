// The sweep of the bin: once an hour, what has lain there for its days goes for good.
import { BIN_KEPT_DAYS } from '@valise/core/bin'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction, isClockSteady } from '../database/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import { lockOwner } from '../things/index.ts'
import { remove } from './service.ts'
import type { BinServices } from './services.ts'
import { listBinnedBefore } from './store.ts'

const SWEEP_BIN = 'sweep-bin'
const EVERY_MINUTES = 60
/** So few that others can write in between. */
const AT_ONCE = 200

export function binJobs(services: BinServices): Readonly<Record<string, JobHandler>> {
  return { [SWEEP_BIN]: { run: () => sweepBin(services) } }
}

/** Schedules the sweep, unless it is scheduled already. */
export function planBinSweep({ database, jobs }: BinServices): Promise<void> {
  const job = { kind: SWEEP_BIN, payload: {}, dedupeKey: SWEEP_BIN }
  return inTransaction(database, (trx) => jobs.enqueue(trx, job))
}

/** Removes what is due, a portion at a time. @returns when to sweep again */
export async function sweepBin({ database, jobs }: BinServices): Promise<Instant> {
  const isSteady = await inTransaction(database, isClockSteady)
  for (let gone = isSteady ? AT_ONCE : 0; gone === AT_ONCE;)
    gone = await inTransaction(database, async (trx) => {
      const over = addMinutes(trx.now, -BIN_KEPT_DAYS * 24 * 60)
      const due = await listBinnedBefore(trx, over, { most: AT_ONCE })
      // In one order, so that no two sweeps wait for each other.
      const owners = [...new Set(due.map(({ ownerId }) => ownerId))].sort()
      for (const ownerId of owners) await lockOwner(trx, ownerId)
      // Whoever took something out meanwhile keeps it.
      const among = due.map(({ id }) => id)
      await remove(trx, jobs, await listBinnedBefore(trx, over, { most: AT_ONCE, among }))
      return due.length
    })
  return addMinutes(database.reader().now, EVERY_MINUTES)
}
