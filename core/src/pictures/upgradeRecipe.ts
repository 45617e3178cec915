// Recipes of earlier schemas, brought to the newest one when they are read.
import { AppError } from '../problems/index.ts'
import type { PictureRecipe } from './schema.ts'
import { RECIPE_SCHEMA } from './valueLists.ts'

interface StoredRecipe {
  readonly schema: number
}

/** The step at place n leads from schema n + 1 to n + 2. Steps are pure, and are never changed once they shipped. */
const steps: readonly ((recipe: StoredRecipe) => StoredRecipe)[] = []

/**
 * Upgrades a stored recipe to the newest schema. @throws AppError `invalid` when a newer version of Valise wrote it
 */
export function upgradeRecipe(stored: StoredRecipe): PictureRecipe {
  if (stored.schema > RECIPE_SCHEMA) throw new AppError('invalid', 'recipe-newer')
  // The last step led to the newest schema, which is what this type says.
  return steps.slice(stored.schema - 1).reduce((recipe, step) => step(recipe), stored) as PictureRecipe
}
