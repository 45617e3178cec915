// One owner's things are changed by one writer at a time.
import { inTransaction } from '../database/index.ts'
import type { Trx, Writable } from '../database/index.ts'

/**
 * Lets nobody else change things of this owner until the transaction ends; whoever wants to waits. Call it before
 * reading what the change is computed from. SQLite has one writer anyway.
 */
export async function lockOwner(trx: Trx, ownerId: string): Promise<void> {
  await trx.dialect.lock(trx.sql('people').where({ id: ownerId }))
}

/**
 * Runs `work` in a transaction that alone changes things of an owner: what reaches what, passes, hand-ins and drafts are
 * computed from several rows, which must not change meanwhile.
 */
export function inOwnersTransaction<T>(
  on: Writable,
  ownerId: string,
  work: (trx: Trx) => Promise<T>,
): Promise<T> {
  return inTransaction(on, async (trx) => {
    await lockOwner(trx, ownerId)
    return work(trx)
  })
}
