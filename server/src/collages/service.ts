// Collages: created from pictures, saved with every change; editing again later starts another version.
import type { Evidence } from '@valise/core/evidence'
import {
  COLLAGE_SCHEMA,
  decideCollage,
  picturesOf,
  placePictures,
  upgradeCollage,
} from '@valise/core/pictures'
import type { Collage, SavedCollage, NewCollage, PictureToPlace } from '@valise/core/pictures'
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
import type { EvidenceServices } from '../evidence/index.ts'
import { saveContent } from '../gathering/index.ts'
import { findBoardPictures, listPictured } from './pictureStore.ts'

/** What is put together at one time is one version. */
const ONE_SITTING_MINUTES = 60

/**
 * Makes a collage of the chosen items; those that are not pictures are left out.
 *
 * @throws AppError `not-found` when an item is not one's own, `invalid` when none is a picture
 */
export async function createCollage(
  services: EvidenceServices,
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
  const chosen = await Promise.all(wish.pictures.map((id, n) => pictureToPlace(reader, actor, id, n)))
  const pictures = chosen.flatMap((one) => one ?? [])
  if (wish.pictures.length > 0 && pictures.length === 0) throw new AppError('invalid', 'no-pictures')
  const collage = { ...empty, layers: placePictures(empty, pictures) }
  const shown = await findBoardPictures(reader, actor.personId, collage)
  const turn = { lane: 'requests', personId: actor.personId } as const
  const { file } = await services.workers.run('board', { collage, pictures: shown }, turn)
  const { evidenceId } = await saveContent(services, actor, {
    content: await services.files.open(file.sha256),
    fileName: 'collage.png',
    kind: 'collage',
    title: wish.title ?? '',
    rights: { state: 'mine' },
    document: JSON.stringify(collage),
    isNew: true,
    classId: null,
    also: async (trx, saved) => {
      const version = { evidenceId: saved.evidenceId, n: 1 }
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
): Promise<PictureToPlace | null> {
  const { kind, version, binnedAt } = await getEvidence(reader, actor, id)
  if (kind !== 'picture' || binnedAt !== null || version.preview === 'none') return null
  const { width, height, n } = version
  return { id: `picture-${place + 1}`, evidenceId: id, n, width: width ?? 4, height: height ?? 3 }
}

export async function getCollage(reader: Reader, actor: PersonActor, id: string): Promise<SavedCollage> {
  const saved = await getStored(reader, actor, id)
  const collage = upgradeCollage(JSON.parse(saved.document))
  const pictures = await listPictured(reader, actor.personId, collage)
  return { collage, revision: revisionOf(saved), isMade: saved.preview !== 'making', pictures }
}

/** Saves a collage. @throws AppError `stale` when another window saved first, `conflict` while it is in the bin */
export function updateCollage(
  services: EvidenceServices,
  actor: PersonActor,
  id: string,
  revision: number,
  collage: Collage,
): Promise<SavedCollage> {
  assertAllowed(decideCollage(collage), 'invalid')
  return inTransaction(services.database, async (trx) => {
    const present = await getStored(trx, actor, id)
    const { version, versions, binnedAt } = await getEvidence(trx, actor, id)
    if (revisionOf(present) !== revision) throw new AppError('stale', 'stale')
    if (binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
    // What others were given stays as they were given it.
    const isSameSitting =
      minutesBetween(version.at, trx.now) < ONE_SITTING_MINUTES &&
      !(await isGivenOut(trx, actor.personId, id, version.n))
    const n = isSameSitting ? version.n : (versions[0]?.n ?? 0) + 1
    const { recipeRevision: _, concealRevision: __, ...content } = present
    const { fileSha256, bytes } = content
    const document = JSON.stringify(collage)
    if (isSameSitting) await replaceContent(trx, present, { fileSha256, bytes, document })
    else {
      await writeItem(trx, id, null, { currentVersion: n })
      await insertVersion(trx, { ...content, n, document, preview: 'making', previewProblem: null })
    }
    await replaceCollagePictures(trx, { evidenceId: id, n }, actor.personId, picturesOf(collage))
    if (isSameSitting) await remakeCollage(trx, services.jobs, { evidenceId: id, n })
    else await enqueuePainting(trx, services.jobs, { evidenceId: id, n })
    await indexWords(trx, id)
    return getCollage(trx, actor, id)
  })
}

/** Counts up with every change, whatever is said of the item beside it. */
function revisionOf({ n, recipeRevision }: { readonly n: number; readonly recipeRevision: number }): number {
  return n * 1_000_000 + recipeRevision
}

async function getStored(reader: Reader, actor: PersonActor, id: string) {
  const { kind, version } = await getEvidence(reader, actor, id)
  const saved = kind === 'collage' ? await findVersionOf(reader, actor.personId, id, version.n) : null
  if (!saved?.document) throw new AppError('not-found', 'not-found')
  return { ...saved, document: saved.document }
}
