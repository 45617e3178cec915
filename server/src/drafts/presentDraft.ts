// A draft's document as it is now, or was at an earlier revision.
import { applyOperations, rebaseEdit } from '@valise/core/pages'
import type { Operation, PageDocument } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { Instant } from '@valise/core/time'
import type { Reader } from '../database/index.ts'
import {
  isInLog,
  listEditsAfter,
  listEditsBetween,
  listEditsSince,
  listOwnDrafts,
  writtenAtOf,
} from './store.ts'
import type { DraftRow, StoredEdit } from './store.ts'

export interface PresentDraft extends DraftRow {
  readonly document: PageDocument
}

/** Lists one's own drafts among these ids in their current state, in two queries. */
export async function listPresentDrafts(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<PresentDraft[]> {
  const drafts = await listOwnDrafts(reader, actor, ids)
  const edits = await listEditsAfter(
    reader,
    drafts.map(({ id, checkpointRevision }) => ({ id, revision: checkpointRevision })),
  )
  return drafts.map((draft) => ({
    ...draft,
    document: withEdits(draft.checkpoint, edits.get(draft.id) ?? []),
  }))
}

/**
 * Lists one's own drafts as they were at a moment: without the edits that were written after it, and with those that
 * were written before and came later, from a device without a connection.
 */
export async function listDraftsAt(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
  at: Instant,
): Promise<PresentDraft[]> {
  const present = await listPresentDrafts(reader, actor, ids)
  const later = await listEditsSince(reader, ids, at)
  return present.map((draft) => {
    return { ...draft, document: withoutLater(draft.document, later.get(draft.id) ?? [], at) }
  })
}

/** Returns one's own draft in its current state. @throws AppError `not-found` for anything else */
export async function getPresentDraft(reader: Reader, actor: PersonActor, id: string): Promise<PresentDraft> {
  const [draft] = await listPresentDrafts(reader, actor, [id])
  if (!draft) throw new AppError('not-found', 'not-found')
  return draft
}

export interface EarlierDraft {
  readonly document: PageDocument
  /** What came after it, in order. */
  readonly since: readonly StoredEdit[]
  /** Pieces whose text at that revision is not known any more, as `tidyLog` has merged the edit that wrote it. */
  readonly unknown: ReadonlySet<string>
}

/** Returns the draft at an earlier revision, computed by undoing edits. */
export async function getEarlierDraft(
  reader: Reader,
  present: PresentDraft,
  revision: number,
): Promise<EarlierDraft> {
  if (revision === present.revision) return { document: present.document, since: [], unknown: new Set() }
  const since = await listEditsBetween(reader, present.id, revision, present.revision)
  const backwards = [...since].reverse().flatMap(({ inverse }) => inverse)
  const merged = (await isInLog(reader, present.id, revision)) ? [] : (since[0]?.operations ?? [])
  const unknown = new Set(merged.flatMap((operation) => ('piece' in operation ? [operation.piece.id] : [])))
  return { document: applied(present.document, backwards), since, unknown }
}

/** Takes the edits out of a document that were written after a moment, and leaves what came between them. */
function withoutLater(document: PageDocument, edits: readonly StoredEdit[], at: Instant): PageDocument {
  let present = applied(
    document,
    [...edits].reverse().flatMap(({ inverse }) => inverse),
  )
  let takingOut: readonly Operation[] = []
  for (const edit of edits) {
    if (writtenAtOf(edit) > at) takingOut = [...edit.inverse, ...takingOut]
    else takingOut = rebaseEdit(present, edit.operations, takingOut)?.operations ?? []
    present = applied(present, edit.operations)
  }
  return applied(document, takingOut)
}

function withEdits(checkpoint: PageDocument, edits: readonly StoredEdit[]): PageDocument {
  return applied(
    checkpoint,
    edits.flatMap(({ operations }) => operations),
  )
}

/** A stored edit did apply; if it no longer does, that is a defect. */
function applied(document: PageDocument, operations: readonly Operation[]): PageDocument {
  const next = applyOperations(document, operations)
  if (!next) throw new Error('a kept edit does not apply to its draft')
  return next
}
