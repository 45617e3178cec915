// Collages: begun with pictures, kept with every change; who comes back later begins another version.
import type { Evidence } from '@valise/core/evidence'
import {
  COLLAGE_SCHEMA,
  decideCollage,
  picturesOf,
  placePictures,
  upgradeCollage,
} from '@valise/core/pictures'
import type { Collage, KeptCollage, NewCollage, PictureToPlace } from '@valise/core/pictures'
import type { PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import { minutesBetween } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import {
  enqueuePainting,
  findVersionOf,
  getEvidence,
  indexWords,
  insertVersion,
  isGivenOut,
  remakeCollage,
  replaceCollagePictures,
  replaceContent,
  writeItem,
} from '../evidence/index.ts'
import { keepContent } from '../gathering/index.ts'
import type { Services } from '../services.ts'
import { findBoardPictures, listPictured } from './pictures.ts'

/** What is put together at one time is one version. */
const ONE_SITTING_MINUTES = 60

/** @throws AppError `not-found` where one of the pictures is not one's own */
export async function createCollage(
  services: Services,
  actor: PersonActor,
  wish: NewCollage & { readonly title?: string },
): Promise<Evidence> {
  const reader = services.database.reader()
  const empty: Collage = {
    schema: COLLAGE_SCHEMA,
    size: wish.size,
    background: { kind: 'colour', colour: 'paper' },
    layers: [],
  }
  const pictures = await Promise.all(wish.pictures.map((id, n) => pictureToPlace(reader, actor, id, n)))
  const collage = { ...empty, layers: placePictures(empty, pictures) }
  const shown = await findBoardPictures(reader, actor.personId, collage)
  const { file } = await services.workers.run('board', { collage, pictures: shown })
  const { evidenceId } = await keepContent(services, actor, {
    content: await services.files.open(file.sha256),
    fileName: 'collage.png',
    kind: 'collage',
    title: wish.title ?? '',
    rights: { state: 'mine' },
    document: JSON.stringify(collage),
    isNew: true,
    classId: null,
    also: async (trx, kept) => {
      const version = { evidenceId: kept.evidenceId, n: 1 }
      await replaceCollagePictures(trx, version, actor.personId, picturesOf(collage))
    },
  })
  return getEvidence(services.database.reader(), actor, evidenceId)
}

async function pictureToPlace(
  reader: Reader,
  actor: PersonActor,
  id: string,
  place: number,
): Promise<PictureToPlace> {
  const { kind, version, binnedAt } = await getEvidence(reader, actor, id)
  if (kind !== 'picture' || binnedAt !== null || version.preview === 'none')
    throw new AppError('unsupported', 'not-a-picture')
  const { width, height, n } = version
  return { id: `picture-${place + 1}`, evidenceId: id, n, width: width ?? 4, height: height ?? 3 }
}

export async function getCollage(reader: Reader, actor: PersonActor, id: string): Promise<KeptCollage> {
  const { kind, version, revision } = await getEvidence(reader, actor, id)
  const kept = kind === 'collage' ? await findVersionOf(reader, actor.personId, id, version.n) : null
  if (!kept?.document) throw new AppError('not-found', 'not-found')
  const collage = upgradeCollage(JSON.parse(kept.document))
  const pictures = await listPictured(reader, actor.personId, collage)
  return { collage, revision, isMade: version.preview !== 'making', pictures }
}

/** @throws AppError `stale` when another window was faster, `conflict` while it is in the bin */
export function updateCollage(
  services: Services,
  actor: PersonActor,
  id: string,
  revision: number,
  collage: Collage,
): Promise<KeptCollage> {
  assertAllowed(decideCollage(collage), 'invalid')
  return inTransaction(services.database, async (trx) => {
    await getCollage(trx, actor, id)
    const { version, versions, binnedAt } = await getEvidence(trx, actor, id)
    if (binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
    // What others were given stays as they were given it.
    const isSameSitting =
      minutesBetween(version.at, trx.now) < ONE_SITTING_MINUTES &&
      !(await isGivenOut(trx, actor.personId, id, version.n))
    const n = isSameSitting ? version.n : (versions[0]?.n ?? 0) + 1
    if (!(await writeItem(trx, id, revision, { currentVersion: n }))) throw new AppError('stale', 'stale')
    const present = await findVersionOf(trx, actor.personId, id, version.n)
    if (!present) throw new AppError('not-found', 'not-found')
    const { recipeRevision: _, concealRevision: __, ...content } = present
    const document = JSON.stringify(collage)
    if (isSameSitting) await replaceContent(trx, { evidenceId: id, n }, { ...filesOf(content), document })
    else await insertVersion(trx, { ...content, n, document, preview: 'making', previewProblem: null })
    await replaceCollagePictures(trx, { evidenceId: id, n }, actor.personId, picturesOf(collage))
    if (isSameSitting) await remakeCollage(trx, services.jobs, { evidenceId: id, n })
    else await enqueuePainting(trx, services.jobs, { evidenceId: id, n })
    await indexWords(trx, id)
    return getCollage(trx, actor, id)
  })
}

function filesOf({ fileSha256, bytes }: { readonly fileSha256: string; readonly bytes: number }) {
  return { fileSha256, bytes }
}
