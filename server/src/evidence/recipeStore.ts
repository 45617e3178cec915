// Recipes of pictures: all saved revisions, and the renditions made by them.
import { EMPTY_RECIPE, upgradeRecipe } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { inPortions, inTransaction } from '../database/index.ts'
import type { Database, Reader, Trx } from '../database/index.ts'
import { isGivenOut } from './givenOut.ts'
import type { StoredVersion, RenderRevisions } from './versionStore.ts'

/** So few that others can write in between. */
const AT_ONCE = 500

type VersionKey = Pick<StoredVersion, 'evidenceId' | 'n'>

/**
 * Returns the recipe of a revision; 0 is the original picture. @throws AppError `invalid` when a newer version of
 * Valise wrote it
 */
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
  { evidenceId, n, ownerId }: Pick<StoredVersion, 'evidenceId' | 'n' | 'ownerId'>,
  revision: number,
  recipe: PictureRecipe,
): Promise<void> {
  const row = { evidenceId, n, revision, ownerId, recipe: JSON.stringify(recipe), createdAt: trx.now }
  await trx.sql('pictureRecipes').insert(row)
}

export type RenderColumns = RenderRevisions & Pick<StoredVersion, 'takenWidth' | 'takenHeight'>

/** Makes a recipe the current one; false when another one was first. */
export async function updateRender(
  trx: Trx,
  { evidenceId, n }: VersionKey,
  before: number,
  columns: RenderColumns,
): Promise<boolean> {
  const changed = await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n, recipeRevision: before })
    .update({ ...columns, preview: 'making', previewProblem: null })
  return changed === 1
}

/** Lists the recipes of which a version has renditions, newest first. */
export async function listRenders(reader: Reader, { evidenceId, n }: VersionKey): Promise<RenderRevisions[]> {
  return reader
    .sql('renditions')
    .where({ evidenceId, n, kind: 'screen' })
    .orderBy(['recipeRevision', 'concealRevision'].map((column) => ({ column, order: 'desc' as const })))
    .distinct('recipeRevision', 'concealRevision')
}

/** Deletes renditions that conceal less than is concealed now; the original stays for its owner. */
export async function deleteUnconcealed(
  trx: Trx,
  { evidenceId, n, concealRevision }: VersionKey & Pick<RenderRevisions, 'concealRevision'>,
): Promise<void> {
  await trx
    .sql('renditions')
    .where({ evidenceId, n })
    .where('concealRevision', '<', concealRevision)
    .where(isNotAsTaken)
    .delete()
}

/** Deletes renditions of earlier renders that nobody was given. The original stays for its owner. */
export async function deleteEarlierRenders(
  trx: Trx,
  { evidenceId, n, ownerId, recipeRevision }: VersionKey & Pick<StoredVersion, 'ownerId' | 'recipeRevision'>,
): Promise<void> {
  if (await isGivenOut(trx, ownerId, evidenceId, n)) return
  await trx
    .sql('renditions')
    .where({ evidenceId, n })
    .where('recipeRevision', '<', recipeRevision)
    .where(isNotAsTaken)
    .delete()
}

/** Deletes recipes from before a moment that no version and no rendition needs any more. */
export async function deleteOldRecipes(database: Database, before: Instant): Promise<void> {
  const first = { evidenceId: '', n: 0, revision: 0 }
  const narrow = (recipes: Knex.QueryBuilder) => void recipes.modify(isUnneeded, before)
  for await (const rows of inPortions<RecipeKey>(database, 'pictureRecipes', first, AT_ONCE, narrow))
    await inTransaction(database, async ({ sql }) => {
      for (const row of rows) await sql('pictureRecipes').where(row).modify(isUnneeded, before).delete()
    })
}

interface RecipeKey extends Readonly<Record<string, unknown>> {
  readonly evidenceId: string
  readonly n: number
  readonly revision: number
}

function isUnneeded(recipes: Knex.QueryBuilder, before: Instant): void {
  recipes.where('pictureRecipes.createdAt', '<', before)
  for (const table of ['renditions', 'evidenceVersions'])
    recipes.whereNotExists((q) => {
      q.from(table)
        .whereRaw('?? = ??', [`${table}.evidenceId`, 'pictureRecipes.evidenceId'])
        .whereRaw('?? = ??', [`${table}.n`, 'pictureRecipes.n'])
        .whereRaw('?? = ??', [`${table}.recipeRevision`, 'pictureRecipes.revision'])
        .select(q.client.raw('1'))
    })
}

function isNotAsTaken(q: Knex.QueryBuilder): void {
  void q.where('recipeRevision', '>', 0).orWhere('concealRevision', '>', 0)
}
