// Drafts in the database: a checkpoint, the edits since, and the texts that lost against a faster window.
import { upgradeDocument } from '@valise/core/pages'
import type { Operation, OtherVersion, PageDocument, Piece } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { ownThings } from '../things/index.ts'

const FIRST_REVISION = 1

export interface DraftRow {
  readonly id: string
  readonly revision: number
  readonly changedAt: Instant
  readonly checkpoint: PageDocument
  readonly checkpointRevision: number
}

export interface StoredEdit {
  readonly revision: number
  readonly editId: string
  readonly windowId: string
  readonly personId: string | null
  readonly operations: Operation[]
  readonly inverse: Operation[]
  /** When it came. */
  readonly at: Instant
  /** When its device says that it was written; null where that is the minute in which it came. */
  readonly writtenAt: Instant | null
}

export async function insertDraft(trx: Trx, id: string, document: PageDocument): Promise<void> {
  await trx.sql('drafts').insert({
    id,
    revision: FIRST_REVISION,
    checkpoint: JSON.stringify(document),
    checkpointRevision: FIRST_REVISION,
    createdAt: trx.now,
  })
}

/** Lists which of these drafts are the owner's. */
export async function listOwnDrafts(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<DraftRow[]> {
  if (ids.length === 0) return []
  const rows: DraftColumns[] = await ownThings(reader, actor)
    .join('drafts', 'drafts.id', 'things.id')
    .modify(isOneOf, 'drafts.id', ids)
    .select('drafts.*', 'things.changedAt')
  return rows.map((row) => ({
    id: row.id,
    revision: row.revision,
    changedAt: row.changedAt,
    checkpoint: upgradeDocument(JSON.parse(row.checkpoint)),
    checkpointRevision: row.checkpointRevision,
  }))
}

/** Returns whether a thing of one's own has a draft. */
export async function hasDraft(reader: Reader, actor: PersonActor, id: string): Promise<boolean> {
  const row = await ownThings(reader, actor)
    .where('things.id', id)
    .join('drafts', 'drafts.id', 'things.id')
    .first('drafts.id')
  return row !== undefined
}

/** Lists the edits after a revision of each draft, in order. */
export async function listEditsAfter(
  reader: Reader,
  since: readonly { readonly id: string; readonly revision: number }[],
): Promise<ReadonlyMap<string, StoredEdit[]>> {
  const edits = new Map<string, StoredEdit[]>(since.map(({ id }) => [id, []]))
  if (since.length === 0) return edits
  const rows = await reader
    .sql('draftEdits')
    .where((any) => {
      for (const { id, revision } of since)
        any.orWhere((one) => one.where({ draftId: id }).where('revision', '>', revision))
    })
    .orderBy(['draftId', 'revision'])
  for (const row of rows) edits.get(row.draftId)?.push(toEdit(row))
  return edits
}

/** Lists the edits of these drafts from the first one that was written after a moment, in order. */
export async function listEditsSince(
  reader: Reader,
  ids: readonly string[],
  at: Instant,
): Promise<ReadonlyMap<string, StoredEdit[]>> {
  const edits = new Map<string, StoredEdit[]>(ids.map((id) => [id, []]))
  if (ids.length === 0) return edits
  const rows = await reader
    .sql('draftEdits')
    .modify(isOneOf, 'draftId', ids)
    .where('at', '>', at)
    .orderBy(['draftId', 'revision'])
  for (const edit of rows.map(toEdit)) {
    const since = edits.get(edit.draftId)
    if (since && (since.length > 0 || writtenAtOf(edit) > at)) since.push(edit)
  }
  return edits
}

/** When an edit counts as written. */
export function writtenAtOf({ at, writtenAt }: Pick<StoredEdit, 'at' | 'writtenAt'>): Instant {
  return writtenAt ?? at
}

export async function findEdit(reader: Reader, draftId: string, editId: string): Promise<StoredEdit | null> {
  const row = await reader.sql('draftEdits').where({ draftId, editId }).first()
  return row ? toEdit(row) : null
}

export async function insertEdit(trx: Trx, draftId: string, edit: Omit<StoredEdit, 'at'>): Promise<void> {
  const { operations, inverse, ...row } = edit
  await trx.sql('draftEdits').insert({
    draftId,
    ...row,
    operations: JSON.stringify(operations),
    inverse: JSON.stringify(inverse),
    at: trx.now,
  })
  await trx.sql('drafts').where({ id: draftId }).update({ revision: edit.revision })
}

/** Saves a newer checkpoint, so that fewer edits have to be applied. */
export async function saveCheckpoint(
  trx: Trx,
  id: string,
  checkpoint: PageDocument,
  checkpointRevision: number,
): Promise<void> {
  await trx
    .sql('drafts')
    .where({ id })
    .update({ checkpoint: JSON.stringify(checkpoint), checkpointRevision })
}

/** Lists the edits up to a revision, oldest first, to merge those that continue each other. */
export async function listEditsBetween(
  reader: Reader,
  draftId: string,
  after: number,
  upTo: number,
): Promise<StoredEdit[]> {
  const rows = await reader
    .sql('draftEdits')
    .where({ draftId })
    .where('revision', '>', after)
    .where('revision', '<=', upTo)
    .orderBy('revision')
  return rows.map(toEdit)
}

/**
 * Returns whether a revision can be restored exactly: the first one, or one whose edit was not merged into a later
 * one.
 */
export async function isInLog(reader: Reader, draftId: string, revision: number): Promise<boolean> {
  if (revision <= FIRST_REVISION) return true
  return (await reader.sql('draftEdits').where({ draftId, revision }).first('revision')) !== undefined
}

/** Replaces edits with a later one that continues them. */
export async function mergeEdits(
  trx: Trx,
  draftId: string,
  gone: readonly number[],
  into: Pick<StoredEdit, 'revision' | 'inverse'>,
): Promise<void> {
  await trx.sql('draftEdits').where({ draftId }).whereIn('revision', gone).delete()
  const inverse = JSON.stringify(into.inverse)
  await trx.sql('draftEdits').where({ draftId, revision: into.revision }).update({ inverse })
}

/** Saves a losing text as a version. A later text of the same window and piece replaces its earlier one. */
export async function saveOtherVersion(
  trx: Trx,
  draftId: string,
  windowId: string,
  piece: Piece,
): Promise<void> {
  const row = { draftId, pieceId: piece.id, windowId }
  const content = { piece: JSON.stringify(piece), at: trx.now }
  await trx
    .sql('otherVersions')
    .insert({ id: trx.newId(), ...row, ...content })
    .onConflict(Object.keys(row))
    .merge(content)
}

export async function listOtherVersions(
  reader: Reader,
  draftId: string,
): Promise<Omit<OtherVersion, 'isHere'>[]> {
  const rows = await reader.sql('otherVersions').where({ draftId }).orderBy(['at', 'id'])
  return rows.map(({ id, piece, at }) => ({ id, piece: JSON.parse(piece), at }))
}

export async function deleteOtherVersion(trx: Trx, draftId: string, id: string): Promise<void> {
  await trx.sql('otherVersions').where({ draftId, id }).delete()
}

interface DraftColumns extends Omit<DraftRow, 'checkpoint'> {
  readonly checkpoint: string
}

/** An edit with the draft that it is of. */
interface EditOfDraft extends StoredEdit {
  readonly draftId: string
}

interface EditColumns extends Omit<StoredEdit, 'operations' | 'inverse'> {
  readonly draftId: string
  readonly operations: string
  readonly inverse: string
}

function toEdit(row: EditColumns): EditOfDraft {
  return {
    draftId: row.draftId,
    revision: row.revision,
    editId: row.editId,
    windowId: row.windowId,
    personId: row.personId,
    operations: JSON.parse(row.operations),
    inverse: JSON.parse(row.inverse),
    at: row.at,
    writtenAt: row.writtenAt,
  }
}
