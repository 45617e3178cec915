// The pictures that a collage shows: what its editor has to know of each, and what painting it takes.
import { EMPTY_RECIPE, picturesOf } from '@valise/core/pictures'
import type { Collage, Pictured, ShownPicture } from '@valise/core/pictures'
import type { Reader } from '../database/index.ts'
import { findVersionOf, getRecipe } from '../evidence/index.ts'
import type { BoardPicture } from '../evidence/index.ts'

/** Lists the pictures of a collage that its owner still has. */
export async function listPictured(reader: Reader, ownerId: string, collage: Collage): Promise<Pictured[]> {
  const pictures: Pictured[] = []
  for (const { evidenceId, n } of picturesOf(collage)) {
    const item = await reader
      .sql('evidence')
      .join('things', 'things.id', 'evidence.id')
      .where({ 'evidence.id': evidenceId, 'evidence.ownerId': ownerId })
      .first('things.title', 'alternativeText')
    const version = item && (await findVersionOf(reader, ownerId, evidenceId, n))
    if (!version || version.width === null || version.height === null) continue
    const { width, height, recipeRevision: renderRevision } = version
    const { title, alternativeText } = item
    pictures.push({ evidenceId, n, title, alternativeText, width, height, renderRevision })
  }
  return pictures
}

/** Finds how to paint each picture: from the rendition of its newest recipe, or from its file. */
export async function findBoardPictures(
  reader: Reader,
  ownerId: string,
  collage: Collage,
): Promise<BoardPicture[]> {
  const pictures: BoardPicture[] = []
  for (const shown of picturesOf(collage)) {
    const version = await findVersionOf(reader, ownerId, shown.evidenceId, shown.n)
    if (!version || version.document !== null || version.width === null || version.height === null) continue
    const { width, height, fileSha256: sha256, takenWidth, takenHeight } = version
    const recipe = await getRecipe(reader, version, version.recipeRevision)
    const original = { width: takenWidth ?? width, height: takenHeight ?? height }
    const screen = await findScreen(reader, shown, version)
    const how = recipe === EMPTY_RECIPE ? {} : { recipe, original }
    pictures.push({ ...shown, sha256, ...how, width, height, screen })
  }
  return pictures
}

/** The rendition for screens by the recipe that counts; null while it is still being made. */
async function findScreen(
  { sql }: Reader,
  { evidenceId, n }: ShownPicture,
  { recipeRevision, concealRevision }: { recipeRevision: number; concealRevision: number },
): Promise<BoardPicture['screen']> {
  const row = await sql('renditions')
    .where({ evidenceId, n, kind: 'screen', recipeRevision, concealRevision })
    .orderBy('makerVersion', 'desc')
    .first('fileSha256', 'width')
  return row ? { sha256: row.fileSha256, width: row.width } : null
}
