// Jobs in the database: put there in the transaction that wants them, taken under a lease, removed when done.
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Database, Trx } from '../database/index.ts'

/** The payload of a job: ids and numbers, never content. */
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
  /** Who holds it: another number with each lease, so that nobody ends what somebody else does meanwhile. */
  readonly lease: string
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
    lease: null,
    attempts: 0,
    failedAt: null,
  }
  await trx.sql('jobs').insert(row).onConflict('dedupeKey').ignore()
}

/**
 * Leases the job that has been due longest, or returns null. The attempt is counted before it starts.
 *
 * @param notOf people whose jobs are skipped
 */
export function takeJob(database: Database, notOf: readonly string[] = []): Promise<TakenJob | null> {
  return inTransaction(database, async ({ sql, now, newId, dialect }) => {
    const isFree = (q: ReturnType<typeof sql>) => q.whereNull('leaseUntil').orWhere('leaseUntil', '<=', now)
    const isOfOthers = (q: ReturnType<typeof sql>) => q.whereNull('personId').orWhereNotIn('personId', notOf)
    const due = sql('jobs').whereNull('failedAt').where('runAt', '<=', now).where(isFree).where(isOfOthers)
    // What another server is just taking is passed over, and not waited for.
    const row = await due.orderBy('runAt').orderBy('id').modify(dialect.skipLocked).first()
    if (!row) return null
    const attempts = row.attempts + 1
    const lease = newId()
    await sql('jobs')
      .where({ id: row.id })
      .update({ leaseUntil: addMinutes(now, LEASE_MINUTES), lease, attempts })
    const { id, kind, personId } = row
    return { id, kind, personId, payload: JSON.parse(row.payload), attempts, lease }
  })
}

type Held = Pick<TakenJob, 'id' | 'lease'>

const released = { leaseUntil: null, lease: null }

/** Extends the lease of a running job. */
export function prolongLease(database: Database, { id, lease }: Held): Promise<number> {
  return inTransaction(database, ({ sql, now }) =>
    sql('jobs')
      .where({ id, lease })
      .update({ leaseUntil: addMinutes(now, LEASE_MINUTES) }),
  )
}

export function removeJob(database: Database, { id, lease }: Held): Promise<number> {
  return inTransaction(database, ({ sql }) => sql('jobs').where({ id, lease }).delete())
}

/** Releases a job that was interrupted through no fault of its own, so that another server can lease it at once. */
export function releaseJob(database: Database, { id, lease, attempts }: TakenJob): Promise<number> {
  return inTransaction(database, ({ sql }) =>
    sql('jobs')
      .where({ id, lease })
      .update({ ...released, attempts: attempts - 1 }),
  )
}

/** Reschedules a job as if it had not been attempted. */
export function postponeJob(database: Database, { id, lease }: Held, runAt: Instant): Promise<number> {
  return inTransaction(database, ({ sql }) =>
    sql('jobs')
      .where({ id, lease })
      .update({ runAt, ...released, attempts: 0 }),
  )
}

/**
 * Records a failed attempt: the job is retried, each time after four times the delay, and rests as failed after the
 * last one.
 *
 * @param isFinal whether a retry could not succeed
 * @returns whether that was the last attempt; false also where the lease was lost, and somebody else has the job
 */
export async function noteFailure(
  database: Database,
  { id, lease, attempts }: TakenJob,
  isFinal = false,
): Promise<boolean> {
  const isOver = isFinal || attempts >= MOST_ATTEMPTS
  const noted = await inTransaction(database, ({ sql, now }) => {
    const again = { runAt: addMinutes(now, 4 ** attempts / 12), ...released }
    const over = { failedAt: now, ...released, dedupeKey: null }
    return sql('jobs')
      .where({ id, lease })
      .update(isOver ? over : again)
  })
  return isOver && noted === 1
}
