// Question sheets: writing, publishing and offering them, and finding one to take up.
import { isSame } from '@valise/core/json'
import { textIn } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { sheetFaults, shippedSheets } from '@valise/core/sheets'
import type { NewSheet, OwnSheet, SheetContent, SheetRow, SheetVersion } from '@valise/core/sheets'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { changeThing, insertThing } from '../things/index.ts'
import * as store from './store.ts'

/** Lists all sheets that one may take up, and one's own unpublished ones: mine, those of my classes, those that ship. */
export async function listSheets(reader: Reader, actor: PersonActor): Promise<SheetRow[]> {
  const shipped = shippedSheets.map(({ id, n, source, content: { title, about, questions } }) => ({
    ...{ id, n, source, title, about, questions: questions.length, ownerName: null, isNewer: false },
  }))
  return [
    ...(await store.listOwnSheets(reader, actor)),
    ...(await store.listOfferedSheets(reader, actor)),
    ...shipped,
  ]
}

/** Finds the newest version of a sheet that one may take up; null where there is none. */
export async function findTakable(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<SheetVersion | null> {
  const shipped = shippedSheets.find((sheet) => sheet.id === id)
  if (shipped) return shipped
  const found = await store.findNewestVersion(reader, actor, id)
  return found && { id, n: found.n, source: found.isMine ? 'mine' : 'class', content: found.content }
}

export async function getTakable(reader: Reader, actor: PersonActor, id: string): Promise<SheetVersion> {
  const version = await findTakable(reader, actor, id)
  if (!version) throw new AppError('not-found', 'not-found')
  return version
}

export async function getOwnSheet(reader: Reader, actor: PersonActor, id: string): Promise<OwnSheet> {
  const sheet = await store.findOwnSheet(reader, actor, id)
  if (!sheet) throw new AppError('not-found', 'not-found')
  return sheet
}

/** Begins a sheet, empty or with the questions of another one. */
export function createSheet(on: Writable, actor: PersonActor, { title, from }: NewSheet): Promise<OwnSheet> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    const copied = from === undefined ? null : (await getCopied(trx, actor, from)).content
    const content: SheetContent = { about: {}, questions: [], ...copied, title }
    await insertThing(trx, { id, kind: 'sheet', ownerId: actor.personId, title: textIn(title, 'en') })
    await store.insertSheet(trx, actor, id, content)
    return getOwnSheet(trx, actor, id)
  })
}

/** One's own sheet is copied as it stands, published or not. */
async function getCopied(trx: Trx, actor: PersonActor, id: string): Promise<{ content: SheetContent }> {
  return (await store.findOwnSheet(trx, actor, id)) ?? getTakable(trx, actor, id)
}

export function saveSheet(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, content }: { readonly revision: number; readonly content: SheetContent },
): Promise<OwnSheet> {
  return inTransaction(on, async (trx) => {
    const { n } = await getWritable(trx, actor, id)
    await change(trx, id, revision, textIn(content.title, 'en'))
    await store.updateContent(trx, id, content, !isSame(content, await store.findVersion(trx, id, n)))
    return getOwnSheet(trx, actor, id)
  })
}

/** Makes what stands there the newest version, which others take up from now on. */
export function publishSheet(
  on: Writable,
  actor: PersonActor,
  id: string,
  revision: number,
): Promise<OwnSheet> {
  return inTransaction(on, async (trx) => {
    const { content, n, isNewer } = await getWritable(trx, actor, id)
    const [fault] = sheetFaults(content)
    if (fault) throw faultToError(fault)
    await change(trx, id, revision, textIn(content.title, 'en'))
    if (isNewer) await store.insertVersion(trx, id, n + 1, content)
    return getOwnSheet(trx, actor, id)
  })
}

/** Offers a sheet to classes that one is in now; offers to others that stand already stay. */
export function offerSheet(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, classIds }: { readonly revision: number; readonly classIds: readonly string[] },
): Promise<OwnSheet> {
  return inTransaction(on, async (trx) => {
    const { n, offers } = await getWritable(trx, actor, id)
    if (n === 0 && classIds.length > 0) throw new AppError('conflict', 'sheet-not-published')
    const mine = new Set([...actor.memberships.map(({ classId }) => classId), ...offers])
    if (classIds.some((classId) => !mine.has(classId))) throw new AppError('not-found', 'not-found')
    await change(trx, id, revision)
    await store.replaceOffers(trx, id, classIds)
    return getOwnSheet(trx, actor, id)
  })
}

async function change(trx: Trx, id: string, revision: number, title?: string): Promise<void> {
  if (!(await changeThing(trx, id, { revision, ...(title !== undefined && { title }) })))
    throw new AppError('stale', 'stale')
}

async function getWritable(trx: Trx, actor: PersonActor, id: string): Promise<OwnSheet> {
  const sheet = await getOwnSheet(trx, actor, id)
  if (sheet.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return sheet
}

function faultToError(fault: ReturnType<typeof sheetFaults>[number]): AppError {
  const params = 'question' in fault ? { question: fault.question } : {}
  return new AppError('invalid', `sheet-lacks-${fault.what}`, { params })
}
