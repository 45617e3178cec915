// Jobs in the database: put there in the transaction that wants them, taken under a lease, removed when done.
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Database, Trx } from '../database/index.ts'

/** What a job is about: ids and numbers, never content. */
export type JobPayload = Readonly<Record<string, string | number>>

export interface NewJob {
  readonly kind: string
  readonly payload: JobPayload
  /** While a job with this key is still to be done, another one is not added. */
  readonly dedupeKey?: string
  readonly runAt?: Instant
  /** Whose work it is: people are served in turn. */
  readonly personId?: string
}

export interface TakenJob {
  readonly id: string
  readonly kind: string
  readonly payload: JobPayload
  readonly attempts: number
  readonly personId: string | null
}

/** How long a server that fell silent keeps a job from others. */
const LEASE_MINUTES = 1.5
const MOST_ATTEMPTS = 5

export async function insertJob(
  trx: Trx,
  { kind, payload, dedupeKey, runAt, personId }: NewJob,
): Promise<void> {
  const row = {
    id: trx.newId(),
    kind,
    payload: JSON.stringify(payload),
    dedupeKey: dedupeKey ?? null,
    personId: personId ?? null,
    runAt: runAt ?? trx.now,
    leaseUntil: null,
    attempts: 0,
    failedAt: null,
  }
  await trx.sql('jobs').insert(row).onConflict('dedupeKey').ignore()
}

/**
 * Takes the job that has been due longest, or null where none is. The try is counted before it begins.
 *
 * @param notOf people whose jobs are passed over
 */
export function takeJob(database: Database, notOf: readonly string[] = []): Promise<TakenJob | null> {
  return inTransaction(database, async ({ sql, now }) => {
    const isFree = (q: ReturnType<typeof sql>) => q.whereNull('leaseUntil').orWhere('leaseUntil', '<=', now)
    const isOfOthers = (q: ReturnType<typeof sql>) => q.whereNull('personId').orWhereNotIn('personId', notOf)
    const due = sql('jobs').whereNull('failedAt').where('runAt', '<=', now).where(isFree).where(isOfOthers)
    const row = await due.orderBy('runAt').orderBy('id').first()
    if (!row) return null
    const attempts = row.attempts + 1
    const lease = { leaseUntil: addMinutes(now, LEASE_MINUTES), attempts }
    // Another server may have taken it since; then this one looks again later.
    const taken = await sql('jobs').where({ id: row.id, attempts: row.attempts }).where(isFree).update(lease)
    const { id, kind, personId } = row
    return taken === 1 ? { id, kind, personId, payload: JSON.parse(row.payload), attempts } : null
  })
}

/** Says that the job is still being worked on. */
export function prolongLease(database: Database, id: string): Promise<number> {
  return inTransaction(database, ({ sql, now }) =>
    sql('jobs')
      .where({ id })
      .update({ leaseUntil: addMinutes(now, LEASE_MINUTES) }),
  )
}

export function removeJob(database: Database, id: string): Promise<number> {
  return inTransaction(database, ({ sql }) => sql('jobs').where({ id }).delete())
}

/** Gives a job back that was not finished through no fault of its own: another server may take it at once. */
export function releaseJob(database: Database, { id, attempts }: TakenJob): Promise<number> {
  return inTransaction(database, ({ sql }) =>
    sql('jobs')
      .where({ id })
      .update({ leaseUntil: null, attempts: attempts - 1 }),
  )
}

/** Puts a job back for a later moment, as if it had not been tried yet. */
export function postponeJob(database: Database, id: string, runAt: Instant): Promise<number> {
  return inTransaction(database, ({ sql }) =>
    sql('jobs').where({ id }).update({ runAt, leaseUntil: null, attempts: 0 }),
  )
}

/**
 * After a failed try: later again, each time four times as long after. After the last one it rests as failed.
 *
 * @param isFinal whether no further try would come to anything else
 * @returns whether that was the last try
 */
export async function noteFailure(
  database: Database,
  { id, attempts }: TakenJob,
  isFinal = false,
): Promise<boolean> {
  const isOver = isFinal || attempts >= MOST_ATTEMPTS
  await inTransaction(database, ({ sql, now }) => {
    const again = { runAt: addMinutes(now, 4 ** attempts / 12), leaseUntil: null }
    const over = { failedAt: now, leaseUntil: null, dedupeKey: null }
    return sql('jobs')
      .where({ id })
      .update(isOver ? over : again)
  })
  return isOver
}
