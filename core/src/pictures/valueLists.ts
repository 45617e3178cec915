// The values of recipes, apart from the schemas, so that no validator travels to the browser.
import type { PictureRecipe } from './schema.ts'

/** Raised when a stored recipe of before has to be brought to the newest shape; see `upgradeRecipe`. */
export const RECIPE_SCHEMA = 1
/** More parts than anyone conceals by hand in one picture. */
export const MOST_PARTS = 200
/** Corners of one concealed part: a box has four, a brush stroke an outline of many. */
export const MOST_CORNERS = 400

/** How often the parts that are concealed together may cover a picture: as a sum of the boxes about them. */
export const MOST_COVERED = 12
/** Corners of all parts, each counted by the share of the picture's height that its part takes. */
export const MOST_TALL_CORNERS = 4000

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

/** Raised when a stored collage of before has to be brought to the newest shape. */
export const COLLAGE_SCHEMA = 1
export const MOST_LAYERS = 400
/** Pictures that come onto a board together. */
export const MOST_PICTURES_AT_ONCE = 200
export const MOST_STROKES = 500

export const collageSizes = ['wide', 'square', 'tall', 'a4'] as const
export type CollageSize = (typeof collageSizes)[number]

/** The board in units of its own; renditions have twice as many pixels. */
export const boardSizes = {
  wide: { width: 1600, height: 900 },
  square: { width: 1200, height: 1200 },
  tall: { width: 900, height: 1600 },
  a4: { width: 1240, height: 1754 },
} as const satisfies Record<CollageSize, object>

export const pictureShapes = ['box', 'rounded', 'ellipse', 'hexagon', 'arch', 'ticket'] as const
export type PictureShape = (typeof pictureShapes)[number]
export const collageShapes = [
  'rectangle',
  'rounded',
  'ellipse',
  'triangle',
  'diamond',
  'star',
  'speech',
  'thought',
] as const
export type CollageShape = (typeof collageShapes)[number]

export const collageFonts = ['text', 'serif', 'mono'] as const
export type CollageFont = (typeof collageFonts)[number]

export const collageColours = [
  'ink',
  'sheet',
  'paper',
  'petrol',
  'tan',
  'apricot',
  'brick',
  'ochre',
  'moss',
  'sea',
] as const
export type CollageColour = (typeof collageColours)[number]
