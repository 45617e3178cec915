// Logbooks and entries: beginning, writing, dating.
import type { RichText, Row } from '@valise/core/pages'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { newEntryDocument, outlineOf } from '@valise/core/reflections'
import type { Entry, Logbook, NewEntry } from '@valise/core/reflections'
import type { LocalDay } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Writable } from '../database/index.ts'
import { createDraft, getDraft } from '../drafts/index.ts'
import type { DraftRoom } from '../drafts/index.ts'
import { inOwnersTransaction, changeThing, insertThing } from '../things/index.ts'
import * as store from './store.ts'
import type { EntryHead } from './store.ts'

export async function getLogbook(reader: Reader, actor: PersonActor, id: string): Promise<Logbook> {
  const logbook = await store.findLogbook(reader, actor, id)
  if (!logbook) throw new AppError('not-found', 'not-found')
  return logbook
}

export function createLogbook(on: Writable, actor: PersonActor, title: string): Promise<Logbook> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    await insertThing(trx, { id, kind: 'logbook', ownerId: actor.personId, title: titleOf(title) })
    await store.insertLogbook(trx, actor, id)
    return getLogbook(trx, actor, id)
  })
}

export function renameLogbook(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, title }: { readonly revision: number; readonly title: string },
): Promise<Logbook> {
  return inTransaction(on, async (trx) => {
    await getLogbook(trx, actor, id)
    if (!(await changeThing(trx, id, { revision, title: titleOf(title) })))
      throw new AppError('stale', 'stale')
    return getLogbook(trx, actor, id)
  })
}

export interface FirstContent {
  readonly text?: RichText
  readonly evidence?: Row['pieces']
}

export function createEntry(
  on: Writable,
  actor: PersonActor,
  logbookId: string,
  { title, day, lang }: NewEntry,
  content: FirstContent = {},
): Promise<Entry> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await getLogbook(trx, actor, logbookId)
    const id = trx.newId()
    const document = newEntryDocument({ title: toPlainLine(title), lang, textId: trx.newId(), ...content })
    await insertThing(trx, { id, kind: 'entry', ownerId: actor.personId, title: document.title })
    await createDraft(trx, actor, id, document)
    await store.insertEntry(trx, actor, { id, logbookId, day, ...outlineOf(document) })
    return getEntry(trx, actor, id)
  })
}

export async function getEntry(reader: Reader, actor: PersonActor, id: string): Promise<Entry> {
  const { logbookId, logbookTitle, day, revision, binnedAt } = await getHead(reader, actor, id)
  const draft = await getDraft(reader, actor, id)
  return { id, logbookId, logbookTitle, day, revision, binnedAt, draft }
}

/** Entries as a room of drafts: their lists show the beginning and the length. */
export const entryRoom: DraftRoom = {
  assertWritable: getStored,
  noteChange: (trx, id, document) => store.noteOutline(trx, id, document.title, outlineOf(document)),
}

export function dateEntry(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, day }: { readonly revision: number; readonly day: LocalDay },
): Promise<Entry> {
  return inTransaction(on, async (trx) => {
    await getStored(trx, actor, id)
    if (!(await store.updateEntryDay(trx, id, revision, day))) throw new AppError('stale', 'stale')
    return getEntry(trx, actor, id)
  })
}

async function getHead(reader: Reader, actor: PersonActor, id: string): Promise<EntryHead> {
  const head = await store.findEntry(reader, actor, id)
  if (!head) throw new AppError('not-found', 'not-found')
  return head
}

async function getStored(reader: Reader, actor: PersonActor, id: string): Promise<EntryHead> {
  const head = await getHead(reader, actor, id)
  if (head.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return head
}

function titleOf(text: string): string {
  const title = toPlainLine(text)
  if (title !== '') return title
  throw new AppError('invalid', 'invalid-input', { fields: [{ path: '/title', reason: 'missing' }] })
}
