// Logbooks and entries: beginning, writing, dating, tagging, moving.
import { ratingQuestion } from '@valise/core/attributes'
import { cleanTags } from '@valise/core/evidence'
import { definitionOf, newEvidencePiece, placedPieces } from '@valise/core/pages'
import type { PageDocument, Piece, Question, RichText, Row } from '@valise/core/pages'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { newEntryDocument, outlineOf } from '@valise/core/reflections'
import type {
  Entry,
  EntryChange,
  EntryMove,
  EntryReading,
  Logbook,
  LogbookChange,
  LogbookFacets,
  NewEntry,
} from '@valise/core/reflections'
import type { SheetVersion } from '@valise/core/sheets'
import type { LocalDay } from '@valise/core/time'
import { attributeSetRoom } from '../attributes/index.ts'
import { inTransaction } from '../database/index.ts'
import type { PageWish, Reader, Trx, Writable } from '../database/index.ts'
import { createDraft, getDraft, listDrafts } from '../drafts/index.ts'
import type { DraftRoom } from '../drafts/index.ts'
import { listItems } from '../evidence/index.ts'
import { moveFirstRatings, noteRatings } from '../ratings/index.ts'
import { sheetRoom } from '../sheets/index.ts'
import { changeThing, inOwnersTransaction, insertThing, listOwnThings } from '../things/index.ts'
import * as entries from './entryStore.ts'
import type { EntryHead, EntryWish } from './entryStore.ts'
import * as logbooks from './logbookStore.ts'

export async function getLogbook(reader: Reader, actor: PersonActor, id: string): Promise<Logbook> {
  const logbook = await logbooks.findLogbook(reader, actor, id)
  if (!logbook) throw new AppError('not-found', 'not-found')
  return logbook
}

export async function getFacets(
  reader: Reader,
  actor: PersonActor,
  id: string,
  until: LocalDay | null,
): Promise<LogbookFacets> {
  const { lastDay } = await getLogbook(reader, actor, id)
  return logbooks.getFacets(reader, id, until ?? lastDay ?? reader.now.slice(0, 10))
}

export function createLogbook(on: Writable, actor: PersonActor, title: string): Promise<Logbook> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    await insertThing(trx, { id, kind: 'logbook', ownerId: actor.personId, title: titleOf(title) })
    await logbooks.insertLogbook(trx, actor, id)
    return getLogbook(trx, actor, id)
  })
}

/** Changes what tells a logbook apart. Its cover is an item of one's own, its class one that one is in. */
export function changeLogbook(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, change }: { readonly revision: number; readonly change: LogbookChange },
): Promise<Logbook> {
  return inTransaction(on, async (trx) => {
    const { classId: classBefore } = await getLogbook(trx, actor, id)
    const { title, coverId = null, classId = null } = change
    const own = coverId === null ? [] : await listOwnThings(trx, actor, ['evidence'], [coverId])
    if (coverId !== null && own.length === 0) throw new AppError('not-found', 'not-found')
    const isKnown = classId === classBefore || actor.memberships.some((one) => one.classId === classId)
    if (classId !== null && !isKnown) throw new AppError('not-found', 'not-found')
    const named = title === undefined ? {} : { title: titleOf(title) }
    if (!(await changeThing(trx, id, { revision, ...named }))) throw new AppError('stale', 'stale')
    await logbooks.updateLogbook(trx, id, change)
    return getLogbook(trx, actor, id)
  })
}

export interface FirstContent {
  readonly text?: RichText
  readonly evidence?: Row['pieces']
  /** The questions that it goes along, where whoever asks for it chose them. */
  readonly sheet?: SheetVersion | null
}

export function createEntry(
  on: Writable,
  actor: PersonActor,
  logbookId: string,
  { title, day, lang, sheetId = null, about = [], rates }: NewEntry,
  content: FirstContent = {},
): Promise<Entry> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await getLogbook(trx, actor, logbookId)
    // A sheet that may no longer be used is no reason to write nothing.
    const sheet = sheetId === null ? null : await sheetRoom.findNewest(trx, actor, sheetId)
    const id = trx.newId()
    const evidence = await listAbout(trx, actor, about)
    const questions = rates ? await listRatingQuestions(trx, actor, rates) : []
    const first = { title: toPlainLine(title), lang, textId: trx.newId(), sheet, questions, evidence }
    const document = newEntryDocument({ ...first, ...content })
    await insertThing(trx, { id, kind: 'entry', ownerId: actor.personId, title: document.title })
    await createDraft(trx, actor, id, document)
    await entries.insertEntry(trx, actor, { id, logbookId, day, outline: outlineOf(document) })
    await index(trx, id, document)
    return getEntry(trx, actor, id)
  })
}

/** The questions by which somebody rates themselves; none of a set that may no longer be used. */
async function listRatingQuestions(
  trx: Trx,
  actor: PersonActor,
  { setId, attributeIds }: NonNullable<NewEntry['rates']>,
): Promise<Question[]> {
  const set = await attributeSetRoom.findNewest(trx, actor, setId)
  if (!set) return []
  const ids = attributeIds.length > 0 ? attributeIds : set.content.attributes.map(({ id }) => id)
  return ids.flatMap((id) => ratingQuestion(set, id) ?? [])
}

/** The pieces of the evidence that an entry begins with, in the order in which it was named. */
async function listAbout(trx: Trx, actor: PersonActor, about: readonly string[]): Promise<Piece[]> {
  const items = await listItems(trx, actor, about)
  return [...new Set(about)].flatMap((id) => {
    const item = items.find((one) => one.id === id && one.binnedAt === null)
    return item ? [newEvidencePiece(trx.newId(), item, HALF)] : []
  })
}

const HALF = 6

export async function getEntry(reader: Reader, actor: PersonActor, id: string): Promise<Entry> {
  const head = await getHead(reader, actor, id)
  const tags = (await entries.listTagsOfEntries(reader, [id])).get(id) ?? []
  return { ...head, tags: [...tags], draft: await getDraft(reader, actor, id) }
}

/** Lists entries with all that they show, to be read one after the other. */
export async function readEntries(
  reader: Reader,
  actor: PersonActor,
  wish: EntryWish,
  page: PageWish,
): Promise<EntryReading> {
  const { items, next } = await entries.listEntryPage(reader, actor, wish, page)
  const drafts = await listDrafts(
    reader,
    actor,
    items.map(({ id }) => id),
  )
  return {
    items: items.flatMap(({ id, day, title }) => {
      const draft = drafts.get(id)
      return draft ? [{ id, day, title, ...draft }] : []
    }),
    next,
  }
}

/** Entries as a room of drafts: their lists show the beginning and the length, and their words are found. */
export const entryRoom: DraftRoom = {
  assertWritable: getStored,
  usesShown: true,
  keepsMinutes: true,
  noteChange: async (trx, id, document) => {
    await entries.noteOutline(trx, id, document.title, outlineOf(document))
    await index(trx, id, document)
    await noteRatings(trx, id, document, () => entries.getDay(trx, id))
  },
}

/** Changes the day or the tags of an entry. */
export function changeEntry(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, change: { day, tags } }: { readonly revision: number; readonly change: EntryChange },
): Promise<Entry> {
  return inTransaction(on, async (trx) => {
    await getStored(trx, actor, id)
    if (!(await changeThing(trx, id, { revision }))) throw new AppError('stale', 'stale')
    if (day !== undefined) {
      await entries.updateDay(trx, id, day)
      await moveFirstRatings(trx, id, day)
    }
    if (tags !== undefined) await entries.replaceEntryTags(trx, actor, id, cleanTags(tags))
    return getEntry(trx, actor, id)
  })
}

/** Moves entries into another logbook, all of them or none. */
export function moveEntries(on: Writable, actor: PersonActor, { ids, logbookId }: EntryMove): Promise<void> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await getLogbook(trx, actor, logbookId)
    const moved = await entries.moveEntries(trx, actor, ids, logbookId)
    if (moved < new Set(ids).size) throw new AppError('not-found', 'not-found')
    for (const id of ids) await changeThing(trx, id, {})
  })
}

async function index(trx: Trx, id: string, document: PageDocument): Promise<void> {
  await entries.indexEntry(trx, id, wordsIn(document))
}

/** The words by which an entry is found. */
export function wordsIn(document: PageDocument): string {
  const written = placedPieces(document).map(({ piece }) => definitionOf(piece).plainText(piece))
  return [document.title, ...written].join('\n')
}

async function getHead(reader: Reader, actor: PersonActor, id: string): Promise<EntryHead> {
  const head = await entries.findEntry(reader, actor, id)
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
