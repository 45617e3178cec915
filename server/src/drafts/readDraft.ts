// A draft with all that it shows, and the texts that lost, as its author's screens want it.
import { findPiece, nothingShown } from '@valise/core/pages'
import type { Draft, PageDocument, Shown } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { getPresentDraft, listPresentDrafts } from './presentDraft.ts'
import { resolveShown, resolveShownMany } from './resolveShown.ts'
import { listOtherVersions } from './store.ts'

export interface ReadDraft {
  readonly document: PageDocument
  readonly shown: Shown
}

/** Returns one's own drafts among these ids with all that they show, in as many queries as one. */
export async function listDrafts(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<ReadonlyMap<string, ReadDraft>> {
  const drafts = ids.length === 0 ? [] : await listPresentDrafts(reader, actor, ids)
  const documents = drafts.map(({ document }) => document)
  const shown = await resolveShownMany(reader, actor, documents)
  return new Map(drafts.map(({ id, document }, n) => [id, { document, shown: shown[n] ?? nothingShown }]))
}

/** Returns one's own draft. @throws AppError `not-found` for anything else */
export async function getDraft(reader: Reader, actor: PersonActor, id: string): Promise<Draft> {
  const { revision, changedAt, document } = await getPresentDraft(reader, actor, id)
  const others = await listOtherVersions(reader, id)
  return {
    revision,
    changedAt,
    document,
    otherVersions: others.map((other) => ({
      ...other,
      isHere: findPiece(document, other.piece.id) !== null,
    })),
    shown: await resolveShown(reader, actor, document),
  }
}
