// The values of recipes, apart from the schemas, so that no validator travels to the browser.
import type { PictureRecipe } from './schema.ts'

/** Raised when a stored recipe of before has to be brought to the newest shape; see `upgradeRecipe`. */
export const RECIPE_SCHEMA = 1
/** More parts than anyone conceals by hand in one picture. */
export const MOST_PARTS = 200
/** Corners of one concealed part: a box has four, a brush stroke an outline of many. */
export const MOST_CORNERS = 400

export const concealFills = ['cover', 'squares'] as const
export type ConcealFill = (typeof concealFills)[number]

export const cropShapes = ['free', 'square', '4:3', '3:2', 'a-series', 'exact'] as const

export const EMPTY_RECIPE: PictureRecipe = { schema: RECIPE_SCHEMA, steps: [] }
