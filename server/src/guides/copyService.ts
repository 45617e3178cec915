// One's own copy of a guide: starting it, working in it, and the entries that are written for it.
import { newCopyDocument } from '@valise/core/guides'
import type { GuideContent, GuideCopy, NewGuideEntry } from '@valise/core/guides'
import { isEntryQuestion, newEntryPiece, textLanguages } from '@valise/core/pages'
import { ownerActor, textIn } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { Reader, Trx, Writable } from '../database/index.ts'
import { createDraft, getDraft, getPresentDraft, saveEdit } from '../drafts/index.ts'
import { listNewestVersions, listOfferedTo } from '../offers/index.ts'
import { findNameAndLanguage } from '../people/index.ts'
import { changeLogbook, createEntry, createLogbook } from '../reflections/index.ts'
import { sheetRoom } from '../sheets/index.ts'
import { changeThing, inOwnersTransaction, insertThing, listOwnThings } from '../things/index.ts'
import { getHead } from './copyHead.ts'
import { chooseParts, copyRoom } from './copyRoom.ts'
import { findOwnCopy, getOwnCopy, insertCopy, updateCopy } from './copyStore.ts'
import type { CopyRow } from './copyStore.ts'
import { showInstructions } from './instructions.ts'

/**
 * Starts a guide that is set for a class of one's own. Whoever started it before gets the same copy.
 *
 * @throws AppError `not-found` for a guide that is not set for one's classes
 */
export function startCopy(on: Writable, actor: PersonActor, guideId: string): Promise<{ id: string }> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const there = await findOwnCopy(trx, actor, { guideId })
    if (there) return { id: there.id }
    const classIds = actor.memberships.flatMap(({ role, classId }) => (role === 'student' ? [classId] : []))
    const offered = await listOfferedTo<GuideContent>(trx, 'guide', classIds)
    const guide = offered.find(({ id }) => id === guideId)
    if (!guide) throw new AppError('not-found', 'not-found')
    const { n, content, classId } = guide
    const id = trx.newId()
    const { language } = await findNameAndLanguage(trx, actor.personId)
    const lang = textLanguages.find((one) => one === language) ?? 'en'
    const document = newCopyDocument({ id: guideId, n, content }, id, lang)
    await insertThing(trx, { id, kind: 'guideCopy', ownerId: actor.personId, title: document.title })
    await createDraft(trx, actor, id, document)
    await insertCopy(trx, {
      ...{ id, ownerId: actor.personId, guideId, classId, reading: content.reading, n },
    })
    await chooseParts(trx, actor, { id, guideId, classId }, document)
    return { id }
  })
}

export async function getCopy(reader: Reader, actor: PersonActor, id: string): Promise<GuideCopy> {
  const copy = await getOwnCopy(reader, actor, id)
  const head = await getHead(reader, actor, copy)
  return {
    ...head,
    ...{ logbookId: copy.logbookId, binnedAt: copy.binnedAt },
    instructions: await showInstructions(reader, head.content),
    draft: await getDraft(reader, actor, id),
  }
}

/** Puts the entries of a copy into a logbook of one's own from now on. */
export function chooseLogbook(
  on: Writable,
  actor: PersonActor,
  id: string,
  logbookId: string,
): Promise<GuideCopy> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    await copyRoom.getWritable(trx, actor, id)
    const own = await listOwnThings(trx, actor, ['logbook'], [logbookId])
    if (own.length === 0) throw new AppError('not-found', 'not-found')
    await updateCopy(trx, id, { logbookId })
    return getCopy(trx, actor, id)
  })
}

/**
 * Writes an entry for a question of a copy: it lies in the logbook of the copy, which is made where there is none, and
 * stands in the copy as well.
 */
export function createGuideEntry(
  on: Writable,
  actor: PersonActor,
  id: string,
  { questionId, day }: NewGuideEntry,
): Promise<{ id: string }> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const copy = await copyRoom.getWritable(trx, actor, id)
    const { document, revision } = await getPresentDraft(trx, actor, id)
    const row = document.rows.find(({ pieces }) =>
      pieces.some((piece) => isEntryQuestion(piece) && piece.given.question.id === questionId),
    )
    const asked = row?.pieces.find(isEntryQuestion)
    if (!row || !asked) throw new AppError('not-found', 'not-found')
    const logbookId = await logbookOf(trx, actor, copy, document.title)
    const sheet = await findSheet(trx, actor, copy, asked.given.question.sheet?.id ?? null)
    const first = { day, title: textIn(asked.given.question.asks, document.lang), lang: document.lang }
    const entry = await createEntry(trx, actor, logbookId, first, { sheet })
    const piece = newEntryPiece(trx.newId(), entry.id)
    const after = row.pieces.at(-1)?.id ?? null
    await saveEdit(trx, copyRoom, {
      ...{ actor, id },
      edit: {
        ...{ base: revision, editId: trx.newId(), windowId: trx.newId() },
        operations: [{ op: 'insert-piece', rowId: row.id, piece, after }],
      },
    })
    return { id: entry.id }
  })
}

async function logbookOf(trx: Trx, actor: PersonActor, copy: CopyRow, title: string): Promise<string> {
  const [there] =
    copy.logbookId === null ? [] : await listOwnThings(trx, actor, ['logbook'], [copy.logbookId])
  if (there?.binnedAt === null) return there.id
  const { id, revision } = await createLogbook(trx, actor, title)
  if (actor.memberships.some(({ classId }) => classId === copy.classId))
    await changeLogbook(trx, actor, id, { revision, change: { classId: copy.classId } })
  await updateCopy(trx, copy.id, { logbookId: id })
  await changeThing(trx, copy.id, {})
  return id
}

/** The questions that whoever set the guide chose, also where they are not offered otherwise. */
async function findSheet(trx: Trx, actor: PersonActor, { guideId }: CopyRow, sheetId: string | null) {
  const [guide] = sheetId === null ? [] : await listNewestVersions(trx, [guideId])
  if (!guide || sheetId === null) return null
  return (
    (await sheetRoom.findNewest(trx, ownerActor(guide.ownerId), sheetId)) ??
    sheetRoom.findNewest(trx, actor, sheetId)
  )
}
