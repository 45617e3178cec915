// Keeping something whose bytes are at hand: stored, examined, written down.
import type { PersonActor } from '@valise/core/people'
import { examine, saveFile, unexamined } from '../evidence/index.ts'
import type { EvidenceServices, FileToSave, SavedFile } from '../evidence/index.ts'
import type { Trx } from '../database/index.ts'
import { inOwnersTransaction } from '../things/index.ts'

export interface ContentToSave extends Omit<FileToSave, 'id' | 'stored' | 'examined' | 'replaces'> {
  readonly content: AsyncIterable<Uint8Array>
  /** Where it does not follow from the bytes. */
  readonly mime?: string
  readonly replaces?: string | null
  /** In the same transaction, once the item is there. */
  readonly also?: (trx: Trx, saved: SavedFile) => Promise<void>
}

export async function saveContent(
  services: EvidenceServices,
  actor: PersonActor,
  { content, mime, also, replaces = null, ...file }: ContentToSave,
): Promise<SavedFile> {
  const { database, files, jobs } = services
  const stored = await files.put(content)
  const examined = await examine(services, actor, { ...stored, fileName: file.fileName })
  return inOwnersTransaction(database, actor.personId, async (trx) => {
    const saved = await saveFile(trx, jobs, actor, {
      ...file,
      id: trx.newId(),
      stored,
      examined: mime === undefined ? examined : { ...(examined ?? unexamined), mime },
      replaces,
    })
    await also?.(trx, saved)
    return saved
  })
}
