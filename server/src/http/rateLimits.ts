// Limits on tries whose waits grow, in a table, so that a second server counts the same.
import { AppError } from '@valise/core/problems'
import { addMinutes, minutesBetween } from '@valise/core/time'
import { inTransaction, isOneOf } from '../database/index.ts'
import type { Database, Trx } from '../database/index.ts'
import type { ServerKeys } from '../system/index.ts'

export interface RateLimit {
  /** What is counted, as a keyed digest: the table holds no names and no addresses. */
  readonly bucket: string
  /** Tries without a wait. After them each one doubles the wait for the next. */
  readonly free: number
  readonly firstWaitMinutes: number
  readonly longestWaitMinutes: number
  /** Without a try for this long, the count is forgotten. */
  readonly minutes: number
}

/** Returns the bucket of an account, an address or a device, for one purpose. */
export function bucketOf(keys: ServerKeys, purpose: string, text: string): string {
  return `${purpose}:${keys.digest(purpose, text)}`
}

/**
 * Counts an attempt against each limit before it is checked, so that concurrent attempts get no further than
 * sequential ones.
 *
 * @throws AppError `too-many` with the minutes to wait when a limit is reached; nothing is counted then
 */
export async function countTry(database: Database, limits: readonly RateLimit[]): Promise<void> {
  await inTransaction(database, async (trx) => {
    await trx.sql('rateLimits').where('windowEndsAt', '<=', trx.now).delete()
    for (const limit of limits) await countOne(trx, limit)
  })
}

async function countOne({ sql, now }: Trx, limit: RateLimit): Promise<void> {
  const { bucket, minutes } = limit
  const row = { bucket, windowEndsAt: addMinutes(now, minutes), count: 0, waitUntil: null }
  await sql('rateLimits').insert(row).onConflict('bucket').ignore()
  await sql('rateLimits').where({ bucket }).increment('count', 1)
  const { count, waitUntil } = await sql('rateLimits').where({ bucket }).first('count', 'waitUntil')
  if (waitUntil !== null && waitUntil > now) {
    const toWait = Math.max(1, Math.ceil(minutesBetween(now, waitUntil)))
    throw new AppError('too-many', 'too-many-tries', { params: { minutes: toWait } })
  }
  const wait = waitAfter(limit, count)
  await sql('rateLimits')
    .where({ bucket })
    .update({
      windowEndsAt: addMinutes(now, minutes + wait),
      waitUntil: wait > 0 ? addMinutes(now, wait) : null,
    })
}

/** Minutes until the try after the `count`th. */
function waitAfter({ free, firstWaitMinutes, longestWaitMinutes }: RateLimit, count: number): number {
  return count < free ? 0 : Math.min(longestWaitMinutes, firstWaitMinutes * 2 ** Math.min(count - free, 30))
}

/** Clears the counters after a successful attempt. */
export async function forgetTries(
  database: Database,
  { own, shared }: { readonly own: readonly RateLimit[]; readonly shared: readonly RateLimit[] },
): Promise<void> {
  await inTransaction(database, async ({ sql }) => {
    await sql('rateLimits')
      .modify(
        isOneOf,
        'bucket',
        own.map(({ bucket }) => bucket),
      )
      .delete()
    for (const { bucket } of shared) {
      await sql('rateLimits').where({ bucket }).where('count', '>', 0).decrement('count', 1)
      await sql('rateLimits').where({ bucket }).update({ waitUntil: null })
    }
  })
}
