// Queries under a name, in the database.
import type { SavedQuery } from '@valise/core/evidence'
import { foldText } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { countRows } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export function listSavedQueries(reader: Reader, actor: PersonActor): Promise<SavedQuery[]> {
  return reader
    .sql('savedQueries')
    .where({ ownerId: actor.personId })
    .orderBy(['nameKey', 'id'])
    .select('id', 'name', 'query')
}

export async function countSavedQueries(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(reader.sql('savedQueries').where({ ownerId: actor.personId }))
}

/** Saves a search; it replaces one with the same name. */
export async function saveQuery(
  trx: Trx,
  actor: PersonActor,
  { name, query }: Omit<SavedQuery, 'id'>,
): Promise<SavedQuery> {
  const own = { ownerId: actor.personId, nameKey: foldText(name) }
  await trx
    .sql('savedQueries')
    .insert({ id: trx.newId(), ...own, name, query, createdAt: trx.now })
    .onConflict(['ownerId', 'nameKey'])
    .merge({ name, query })
  return trx.sql('savedQueries').where(own).first('id', 'name', 'query')
}

export function deleteSavedQuery(trx: Trx, actor: PersonActor, id: string): Promise<number> {
  return trx.sql('savedQueries').where({ id, ownerId: actor.personId }).delete()
}
