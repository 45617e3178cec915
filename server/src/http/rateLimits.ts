// Rate limits by account, link or address, in a table, so that a second server counts the same.
import { AppError } from '@valise/core/problems'
import { addMinutes, minutesBetween } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Database, Reader } from '../database/index.ts'
import type { ServerKeys } from '../keys.ts'

export interface RateLimit {
  /** What is counted, as a keyed digest: the table holds no names and no addresses. */
  readonly bucket: string
  readonly most: number
  readonly minutes: number
}

/** The bucket of an account, an address or a link, for one purpose. */
export function bucketOf(keys: ServerKeys, purpose: string, text: string): string {
  return `${purpose}:${keys.digest(purpose, text)}`
}

/** @throws AppError `too-many` with the minutes to wait when any of the limits is used up. */
export async function assertWithinLimits(reader: Reader, limits: readonly RateLimit[]): Promise<void> {
  for (const { bucket, most } of limits) {
    const row = await reader
      .sql('rateLimits')
      .where({ bucket })
      .where('windowEndsAt', '>', reader.now)
      .first()
    if (row && row.count >= most) {
      const minutes = Math.max(1, Math.ceil(minutesBetween(reader.now, row.windowEndsAt)))
      throw new AppError('too-many', 'too-many-tries', { params: { minutes } })
    }
  }
}

/** Counts one try against each limit; the window begins with the first try in it. */
export function countTry(database: Database, limits: readonly RateLimit[]): Promise<void> {
  return inTransaction(database, async ({ sql, now }) => {
    await sql('rateLimits').where('windowEndsAt', '<=', now).delete()
    for (const { bucket, minutes } of limits) {
      const row = { bucket, windowEndsAt: addMinutes(now, minutes), count: 0 }
      await sql('rateLimits').insert(row).onConflict('bucket').ignore()
      await sql('rateLimits').where({ bucket }).increment('count', 1)
    }
  })
}

/** Forgets the tries of an account, after one that was right. */
export async function forgetTries(database: Database, bucket: string): Promise<void> {
  await inTransaction(database, ({ sql }) => sql('rateLimits').where({ bucket }).delete())
}
