// Idempotency keys: a request that is sent twice has one effect and one answer.
import { createHash } from 'node:crypto'
import { AppError } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Database, Trx } from '../database/index.ts'

/** How long an answer can be asked for again. */
const KEPT_MINUTES = 24 * 60

export interface KeyedRequest {
  readonly personId: string
  readonly key: string
  /** Method, address and body: the same key with another request is refused. */
  readonly fingerprint: string
}

export interface StoredAnswer {
  readonly status: number
  readonly body: unknown
}

/** Runs `work` in one transaction with the key, or returns the stored answer of that key. */
export function answerIdempotently(
  database: Database,
  request: KeyedRequest,
  work: (trx: Trx) => Promise<StoredAnswer>,
): Promise<StoredAnswer> {
  const requestHash = createHash('sha256').update(request.fingerprint).digest('base64url')
  const { personId, key } = request
  return inTransaction(database, async (trx) => {
    await trx.sql('idempotencyKeys').where('at', '<', addMinutes(trx.now, -KEPT_MINUTES)).delete()
    const claim = { personId, key, requestHash, status: null, answer: null, at: trx.now }
    // A second request with the key waits here until the first is committed, and then finds its answer.
    await trx.sql('idempotencyKeys').insert(claim).onConflict(['personId', 'key']).ignore()
    const row = await trx.sql('idempotencyKeys').where({ personId, key }).first()
    if (row.requestHash !== requestHash) throw new AppError('conflict', 'repeated-differently')
    if (row.status !== null) return { status: row.status, body: JSON.parse(row.answer) }
    const answer = await work(trx)
    const stored = { status: answer.status, answer: JSON.stringify(answer.body ?? null) }
    await trx.sql('idempotencyKeys').where({ personId, key }).update(stored)
    return answer
  })
}
