// A draft with all that it shows, and the texts that lost, as its author's screens want it.
import { findPiece } from '@valise/core/pages'
import type { Draft } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Reader } from '../database/index.ts'
import { getPresentDraft } from './presentDraft.ts'
import { resolveShown } from './resolveShown.ts'
import { listOtherVersions } from './store.ts'

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
