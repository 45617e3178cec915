// Painting collages in the background: the PNG that its owner has, and the renditions that everybody sees.
import { upgradeCollage } from '@valise/core/pictures'
import { inTransaction } from '../database/index.ts'
import {
  deleteEarlierRenders,
  findVersion,
  RENDER_COLLAGE,
  replaceContent,
  saveRender,
  saveShownSize,
  setPreview,
} from '../evidence/index.ts'
import type { EvidenceServices } from '../evidence/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import { findBoardPictures } from './pictureStore.ts'

export function collageJobs(services: EvidenceServices): Readonly<Record<string, JobHandler>> {
  return {
    [RENDER_COLLAGE]: {
      run: ({ evidenceId, n, revision }) =>
        renderCollage(services, String(evidenceId), Number(n), Number(revision)),
      giveUp: ({ evidenceId, n, revision }) =>
        giveUp(services, String(evidenceId), Number(n), Number(revision)),
    },
  }
}

/** A job for a collage that was changed again has nothing to do: another one follows. */
async function renderCollage(
  services: EvidenceServices,
  evidenceId: string,
  n: number,
  revision: number,
): Promise<void> {
  const reader = services.database.reader()
  const version = await findVersion(reader, evidenceId, n)
  if (!version?.document || version.recipeRevision !== revision) return
  const collage = upgradeCollage(JSON.parse(version.document))
  const pictures = await findBoardPictures(reader, version.ownerId, collage)
  const { file, size, made } = await services.workers.run(
    'board',
    { collage, pictures },
    { lane: 'jobs', personId: version.ownerId },
  )
  await inTransaction(services.database, async (trx) => {
    const present = await findVersion(trx, evidenceId, n)
    if (!present || present.recipeRevision !== revision) return
    const { recipeRevision, concealRevision, document } = present
    await replaceContent(trx, present, { fileSha256: file.sha256, bytes: file.bytes, document })
    await saveRender(trx, present, made, { recipeRevision, concealRevision })
    await saveShownSize(trx, present, size)
    await setPreview(trx, present, 'there', null)
    await deleteEarlierRenders(trx, present)
  })
}

/** After the last try: its owner sees what was there before; others nothing that shows more than it may. */
async function giveUp(
  { database }: EvidenceServices,
  evidenceId: string,
  n: number,
  revision: number,
): Promise<void> {
  await inTransaction(database, async (trx) => {
    const version = await findVersion(trx, evidenceId, n)
    if (version?.recipeRevision === revision) await setPreview(trx, version, 'there', null)
  })
}
