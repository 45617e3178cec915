// The values of recipes, apart from the schemas, so that no validator travels to the browser.
import type { PictureRecipe } from './schema.ts'

/** Raised when a stored recipe of before has to be brought to the newest shape; see `upgradeRecipe`. */
export const RECIPE_SCHEMA = 1
/** More parts than anyone conceals by hand in one picture. */
export const MOST_PARTS = 200
/** Corners of one concealed part: a box has four, a brush stroke an outline of many. */
export const MOST_CORNERS = 400

/** Marks on one picture, and points of one stroke. */
export const MOST_MARKS = 300
export const MOST_PEN_POINTS = 2000

/** Each is drawn with a rim of the other lightness, so that it is read on any ground. */
export const markColours = ['ink', 'sheet', 'brick', 'petrol', 'ochre', 'moss'] as const
export type MarkColour = (typeof markColours)[number]

/** Marks that go from one place to another. */
export const lineMarks = ['arrow', 'line', 'rectangle', 'ellipse'] as const
export type LineMarkKind = (typeof lineMarks)[number]

export const concealFills = ['cover', 'squares'] as const
export type ConcealFill = (typeof concealFills)[number]

export const cropShapes = ['free', 'square', '4:3', '3:2', 'a-series', 'exact'] as const

export const EMPTY_RECIPE: PictureRecipe = { schema: RECIPE_SCHEMA, steps: [] }
