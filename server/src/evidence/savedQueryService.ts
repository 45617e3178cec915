// Saved searches: saving and removing.
import { MOST_SAVED_QUERIES } from '@valise/core/evidence'
import type { NewSavedQuery, SavedQuery } from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Writable } from '../database/index.ts'
import { countSavedQueries, deleteSavedQuery, saveQuery } from './savedQueryStore.ts'

export function createSavedQuery(
  on: Writable,
  actor: PersonActor,
  { name, query }: NewSavedQuery,
): Promise<SavedQuery> {
  return inTransaction(on, async (trx) => {
    const line = toPlainLine(name)
    if (line === '')
      throw new AppError('invalid', 'invalid-input', { fields: [{ path: '/name', reason: 'missing' }] })
    const saved = await saveQuery(trx, actor, { name: line, query })
    if ((await countSavedQueries(trx, actor)) > MOST_SAVED_QUERIES)
      throw new AppError('conflict', 'too-many-queries', { params: { most: MOST_SAVED_QUERIES } })
    return saved
  })
}

export function removeSavedQuery(on: Writable, actor: PersonActor, id: string): Promise<void> {
  return inTransaction(on, async (trx) => {
    if ((await deleteSavedQuery(trx, actor, id)) === 0) throw new AppError('not-found', 'not-found')
  })
}
