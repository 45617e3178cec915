// Recipes of pictures: every one that was kept, and the renditions made by them.
import { EMPTY_RECIPE, upgradeRecipe } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import type { Reader, Trx } from '../database/index.ts'
import type { KeptVersion, Look } from './versionStore.ts'

type VersionKey = Pick<KeptVersion, 'evidenceId' | 'n'>

/** The recipe of a revision; 0 is that of the picture as it came. @throws AppError `invalid` when a newer Valise wrote it */
export async function getRecipe(
  reader: Reader,
  { evidenceId, n }: VersionKey,
  revision: number,
): Promise<PictureRecipe> {
  if (revision === 0) return EMPTY_RECIPE
  const row = await reader.sql('pictureRecipes').where({ evidenceId, n, revision }).first('recipe')
  if (!row) throw new Error('a version names a recipe that is not kept')
  return upgradeRecipe(JSON.parse(row.recipe))
}

export async function insertRecipe(
  trx: Trx,
  { evidenceId, n, ownerId }: Pick<KeptVersion, 'evidenceId' | 'n' | 'ownerId'>,
  revision: number,
  recipe: PictureRecipe,
): Promise<void> {
  const row = { evidenceId, n, revision, ownerId, recipe: JSON.stringify(recipe), createdAt: trx.now }
  await trx.sql('pictureRecipes').insert(row)
}

export type LookColumns = Look & Pick<KeptVersion, 'takenWidth' | 'takenHeight'>

/** Makes a recipe the one that counts; false where another one came first. */
export async function updateLook(
  trx: Trx,
  { evidenceId, n }: VersionKey,
  before: number,
  columns: LookColumns,
): Promise<boolean> {
  const changed = await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n, recipeRevision: before })
    .update({ ...columns, preview: 'making', previewProblem: null })
  return changed === 1
}

/** The recipes by which renditions of a version were made, newest first. */
export async function listLooks(reader: Reader, { evidenceId, n }: VersionKey): Promise<Look[]> {
  return reader
    .sql('renditions')
    .where({ evidenceId, n, kind: 'screen' })
    .orderBy(['recipeRevision', 'concealRevision'].map((column) => ({ column, order: 'desc' as const })))
    .distinct('recipeRevision', 'concealRevision')
}

/** Lets go of renditions that conceal less than is concealed now; the picture as it was taken stays for its owner. */
export async function deleteUnconcealed(
  trx: Trx,
  { evidenceId, n, concealRevision }: VersionKey & Pick<Look, 'concealRevision'>,
): Promise<void> {
  await trx
    .sql('renditions')
    .where({ evidenceId, n })
    .where('concealRevision', '<', concealRevision)
    .whereNot({ recipeRevision: 0, concealRevision: 0 })
    .delete()
}
