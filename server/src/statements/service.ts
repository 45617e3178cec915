// What is said of an item: begun once, written as a draft, and told to whatever searches and counts words.
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { isWordsOnly, newStatementDocument, toldIn } from '@valise/core/statements'
import type { ItemStatement, NewStatement } from '@valise/core/statements'
import type { Reader, Writable } from '../database/index.ts'
import { createDraft, getDraft, hasDraft } from '../drafts/index.ts'
import type { DraftRoom } from '../drafts/index.ts'
import { findStatement, indexWords, updateStatement } from '../evidence/index.ts'
import { noteRatings } from '../ratings/index.ts'
import { inOwnersTransaction } from '../things/index.ts'

/** Returns what is said of an item as it is written; null where nothing was begun. @throws AppError `not-found` */
export async function getStatement(reader: Reader, actor: PersonActor, id: string): Promise<ItemStatement> {
  await getStored(reader, actor, id)
  return { draft: (await hasDraft(reader, actor, id)) ? await getDraft(reader, actor, id) : null }
}

/** Begins a statement, with the words that were written before it was a document. Begun again, it is the same one. */
export function beginStatement(
  on: Writable,
  actor: PersonActor,
  id: string,
  { lang }: NewStatement,
): Promise<ItemStatement> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const { told } = await getWritable(trx, actor, id)
    if (!(await hasDraft(trx, actor, id)))
      await createDraft(trx, actor, id, newStatementDocument({ lang, textId: trx.newId(), told }))
    return getStatement(trx, actor, id)
  })
}

/** Statements as a room of drafts: searches, assignments and sealed copies read the words. */
export const statementRoom: DraftRoom = {
  assertWritable: getWritable,
  usesShown: false,
  noteChange: async (trx, id, document) => {
    // A collage has uses of its own, and what is said of it adds none.
    if (!isWordsOnly(document)) throw new AppError('invalid', 'invalid-input', { fields: [] })
    await updateStatement(trx, id, toldIn(document))
    await indexWords(trx, id)
    await noteRatings(trx, id, document)
  },
}

async function getStored(reader: Reader, actor: PersonActor, id: string) {
  const stored = await findStatement(reader, actor, id)
  if (!stored) throw new AppError('not-found', 'not-found')
  return stored
}

async function getWritable(reader: Reader, actor: PersonActor, id: string) {
  const stored = await getStored(reader, actor, id)
  if (stored.isBinned) throw new AppError('conflict', 'in-the-bin')
  return stored
}
