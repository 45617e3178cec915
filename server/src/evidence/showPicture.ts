// A picture that stands for something which is no picture itself: a link's, the first moment of a film.
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { StoredFile } from '../files/index.ts'
import { ProcessBurst } from '../jobs/index.ts'
import type { Turn } from '../jobs/index.ts'
import type { EvidenceServices } from './services.ts'
import { findVersion, findVersionOf, saveRenditions, saveShownSize } from './versionStore.ts'

/** Makes the renditions of a stored picture for a version. On failure the version stays as it was. */
export async function showPicture(
  services: EvidenceServices,
  turn: Turn,
  evidenceId: string,
  n: number,
  { sha256 }: StoredFile,
): Promise<void> {
  const rendered = await services.workers.run('render', { sha256 }, turn).catch(noneIfTooMuch)
  const screen = rendered?.made.find(({ kind }) => kind === 'screen')
  if (!rendered || !screen) return
  await inTransaction(services.database, async (trx) => {
    const version = await findVersion(trx, evidenceId, n)
    if (!version) return
    await saveRenditions(trx, version, { made: rendered.made, problem: version.previewProblem })
    await saveShownSize(trx, version, screen)
  })
}

/** Saves the poster frame that the owner's browser took from a video. */
export async function savePoster(
  services: EvidenceServices,
  actor: PersonActor,
  { id, n }: { readonly id: string; readonly n: number },
  content: AsyncIterable<Uint8Array>,
): Promise<void> {
  const version = await findVersionOf(services.database.reader(), actor.personId, id, n)
  if (!version) throw new AppError('not-found', 'not-found')
  if (!version.mime.startsWith('video/')) throw new AppError('conflict', 'other-kind')
  const turn = { lane: 'requests', personId: actor.personId } as const
  await showPicture(services, turn, id, n, await services.files.put(content))
}

/** What it is of is saved already, and no worse without a picture. */
function noneIfTooMuch(error: unknown): null {
  if (error instanceof ProcessBurst || (error instanceof AppError && error.code === 'busy')) return null
  throw error
}
