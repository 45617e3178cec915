// Saving an edit: rebased onto other edits and logged, or refused with its text saved as a version.
import { isSame } from '@valise/core/json'
import {
  applyOperations,
  definitionOf,
  documentSize,
  entryIdsOf,
  evidenceIdsOf,
  linkAddressesOf,
  logbookIdsOf,
  faultOfText,
  findPiece,
  invertOperations,
  LONGEST_DOCUMENT,
  newDocument,
  newTextPiece,
  rebaseEdit,
  textOf,
} from '@valise/core/pages'
import type { Edit, EditAnswer, Operation, PageDocument, Piece } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { toMinute } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import type { Trx } from '../database/index.ts'
import { listOwnLinks } from '../evidence/index.ts'
import { listOwnThings } from '../things/index.ts'
import { replaceUses } from '../uses/index.ts'
import { getEarlierDraft, getPresentDraft } from './presentDraft.ts'
import type { PresentDraft } from './presentDraft.ts'
import * as store from './store.ts'
import { tidyLog } from './tidyLog.ts'

const EDITS_BETWEEN_CHECKPOINTS = 24

interface RoomWish {
  /** Whether the thing uses what its document shows. */
  readonly usesShown: boolean
  /** Whether the draft can be had as it was at any minute, as what is handed in when it is due can. */
  readonly keepsMinutes?: boolean
}

export type EditOutcome =
  | {
      readonly kind: 'saved'
      readonly answer: EditAnswer
      readonly document: PageDocument
      readonly writtenAt: Instant
    }
  | { readonly kind: 'refused'; readonly error: AppError }

/**
 * Rebases an edit of one's own draft onto what came since its base, and saves it.
 *
 * The same edit id takes effect once, however often it is sent. A refusal is returned rather than thrown, because the
 * losing text is saved in the same transaction; throw it after the commit.
 */
export async function editDraft(
  trx: Trx,
  actor: PersonActor,
  draftId: string,
  edit: Edit,
  wish: RoomWish,
): Promise<EditOutcome> {
  const present = await getPresentDraft(trx, actor, draftId)
  assertTexts(edit.operations)
  const before = await store.findEdit(trx, draftId, edit.editId)
  if (before)
    return {
      ...{ kind: 'saved', document: present.document, answer: await answerAgain(trx, present, edit) },
      writtenAt: store.writtenAtOf(before),
    }
  if (edit.base > present.revision) throw new AppError('stale', 'edit-unfit')
  const { document: base, since, unknown } = await getEarlierDraft(trx, present, edit.base)
  const others = since.flatMap(({ operations }) => operations)
  const rebased = rebaseEdit(base, others, edit.operations, unknown)
  if (!rebased) return refuse(trx, draftId, edit, edit.operations)
  if (rebased.refused.length > 0) return refuse(trx, draftId, edit, rebased.refused)
  const document = await logEdit(trx, actor, present, { ...edit, operations: rebased.operations }, wish)
  const answer = { revision: present.revision + 1, others, operations: rebased.operations }
  const writtenAt = store.writtenAtOf({ at: trx.now, writtenAt: writtenBefore(trx, edit) })
  return { kind: 'saved', answer, document, writtenAt }
}

/** Replaces the current text with another version; the current text becomes a version in turn. */
export async function takeOtherVersion(
  trx: Trx,
  actor: PersonActor,
  draftId: string,
  otherId: string,
  wish: RoomWish,
): Promise<PageDocument> {
  const present = await getPresentDraft(trx, actor, draftId)
  const other = (await store.listOtherVersions(trx, draftId)).find(({ id }) => id === otherId)
  if (!other) throw new AppError('not-found', 'not-found')
  const standing = findPiece(present.document, other.piece.id)
  const lastRow = present.document.rows.at(-1)?.id ?? null
  // Its piece was removed meanwhile: it comes back in a row of its own at the end.
  const operation: Operation = standing
    ? { op: 'set-piece', piece: other.piece }
    : { op: 'insert-row', row: { id: trx.newId(), pieces: [other.piece] }, after: lastRow }
  const ids = { editId: trx.newId(), windowId: trx.newId() }
  const edit = { base: present.revision, ...ids, operations: [operation] }
  await store.deleteOtherVersion(trx, draftId, otherId)
  if (standing && !isSame(standing.piece, other.piece))
    await store.saveOtherVersion(trx, draftId, ids.windowId, standing.piece)
  return logEdit(trx, actor, present, edit, wish)
}

export async function removeOtherVersion(
  trx: Trx,
  actor: PersonActor,
  draftId: string,
  otherId: string,
): Promise<void> {
  await getPresentDraft(trx, actor, draftId)
  await store.deleteOtherVersion(trx, draftId, otherId)
}

/** Creates the draft of a thing that is there already, with its first document. */
export async function createDraft(
  trx: Trx,
  actor: PersonActor,
  id: string,
  document: PageDocument,
): Promise<void> {
  await assertOwnThings(trx, actor, newDocument('', document.lang), document)
  await store.insertDraft(trx, id, document)
  if (usedIn(document).length > 0) await noteUses(trx, actor, id, document)
}

async function logEdit(
  trx: Trx,
  actor: PersonActor,
  present: PresentDraft,
  edit: Edit,
  { usesShown, keepsMinutes = false }: RoomWish,
): Promise<PageDocument> {
  const { editId, windowId, operations } = edit
  const document = applyOperations(present.document, operations)
  const inverse = invertOperations(present.document, operations)
  if (!document || !inverse) throw new AppError('stale', 'edit-unfit')
  assertHasRoom(present.document, document)
  await assertOwnThings(trx, actor, present.document, document)
  const revision = present.revision + 1
  await store.insertEdit(trx, present.id, {
    revision,
    editId,
    windowId,
    personId: actor.personId,
    operations,
    inverse,
    writtenAt: writtenBefore(trx, edit),
  })
  if (revision - present.checkpointRevision >= EDITS_BETWEEN_CHECKPOINTS) {
    await store.saveCheckpoint(trx, present.id, document, revision)
    await tidyLog(trx, present.id, { after: present.checkpointRevision, upTo: revision, keepsMinutes })
  }
  if (usesShown && !isSame(usedIn(present.document), usedIn(document)))
    await noteUses(trx, actor, present.id, document)
  return document
}

/** When it was written, where that is an earlier minute: what a device says of the future counts as now. */
function writtenBefore({ now }: Trx, { writtenAt }: Edit): Instant | null {
  return writtenAt !== undefined && toMinute(writtenAt) < toMinute(now) ? writtenAt : null
}

function usedIn(document: PageDocument): readonly string[] {
  return [...evidenceIdsOf(document), ...logbookIdsOf(document), ...linkAddressesOf(document)]
}

/** Writes down what a draft uses: the evidence and logbooks that it shows, and links that its texts lead to. */
async function noteUses(
  trx: Trx,
  actor: PersonActor,
  draftId: string,
  document: PageDocument,
): Promise<void> {
  const links = await listOwnLinks(trx, actor, linkAddressesOf(document))
  await replaceUses(trx, draftId, [...evidenceIdsOf(document), ...logbookIdsOf(document), ...links])
}

async function refuse(
  trx: Trx,
  draftId: string,
  { windowId }: Edit,
  refused: readonly Operation[],
): Promise<EditOutcome> {
  const pieces = refused.flatMap((operation) =>
    operation.op === 'set-title' ? [titleAsPiece(operation.title)] : piecesOf(operation),
  )
  for (const piece of pieces) await store.saveOtherVersion(trx, draftId, windowId, piece)
  const isTitle = refused.every(({ op }) => op === 'set-title')
  const params = { piece: pieces[0]?.id ?? '' }
  return {
    kind: 'refused',
    error: new AppError('stale', isTitle ? 'title-changed' : 'piece-changed', { params }),
  }
}

/** What the answer to an edit was, for a device that did not hear it. */
async function answerAgain(trx: Trx, present: PresentDraft, edit: Edit): Promise<EditAnswer> {
  const since = await store.listEditsBetween(trx, present.id, edit.base, present.revision)
  const at = since.findIndex(({ editId }) => editId === edit.editId)
  const own = since[at]
  const others = since.slice(0, Math.max(at, 0)).flatMap(({ operations }) => operations)
  return {
    revision: own?.revision ?? present.revision,
    others,
    operations: own?.operations ?? edit.operations,
  }
}

/** A losing title is saved as a text, which can be put on the page. */
function titleAsPiece(title: string): Piece {
  return newTextPiece('title', textOf(title))
}

function piecesOf(operation: Operation): Piece[] {
  if (operation.op === 'insert-row') return operation.row.pieces
  return operation.op === 'set-piece' || operation.op === 'insert-piece' ? [operation.piece] : []
}

/** @throws AppError `invalid` when a text is not one of our grammar, too long or too deep */
function assertTexts(operations: readonly Operation[]): void {
  for (const piece of operations.flatMap(piecesOf)) {
    const faults = definitionOf(piece).texts(piece).map(faultOfText)
    const fault = faults.find((one) => one !== null)
    if (fault) throw new AppError('invalid', fault)
  }
}

/** @throws AppError `too-large` when a page that holds as much as it can would grow */
function assertHasRoom(before: PageDocument, after: PageDocument): void {
  const size = documentSize(after)
  if (size > LONGEST_DOCUMENT && size > documentSize(before)) throw new AppError('too-large', 'page-full')
}

/** @throws AppError `not-found` when the edit shows a thing of somebody else's, or none at all */
async function assertOwnThings(
  trx: Trx,
  actor: PersonActor,
  before: PageDocument,
  after: PageDocument,
): Promise<void> {
  const added = (idsOf: (document: PageDocument) => string[]) => {
    const known = new Set(idsOf(before))
    return idsOf(after).filter((id) => !known.has(id))
  }
  const evidence = added(evidenceIdsOf)
  const entries = added(entryIdsOf)
  const logbooks = added(logbookIdsOf)
  const own = [
    ...(await listOwnThings(trx, actor, ['evidence'], evidence)),
    ...(await listOwnThings(trx, actor, ['entry'], entries)),
    ...(await listOwnThings(trx, actor, ['logbook'], logbooks)),
  ]
  if (own.length !== evidence.length + entries.length + logbooks.length)
    throw new AppError('not-found', 'not-found')
}
