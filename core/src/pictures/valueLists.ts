// The values of recipes, apart from the schemas, so that no validator travels to the browser.
import type { PictureRecipe } from './schema.ts'

/** The schema number of new recipes; see `upgradeRecipe`. */
export const RECIPE_SCHEMA = 1
/** The most concealed regions of one picture. */
export const MOST_PARTS = 200
/** The most corners of one concealed region: a box has four, a brush stroke has many. */
export const MOST_CORNERS = 400

/** How often the concealed regions together may cover a picture, as a sum of their bounding boxes. */
export const MOST_COVERED = 12
/** The most corners of all regions, each counted by the share of the picture's height that its region takes. */
export const MOST_TALL_CORNERS = 4000

/** The most marks on one picture, and points of one stroke. */
export const MOST_MARKS = 300
export const MOST_PEN_POINTS = 2000

/** Each colour is drawn with a contrasting rim, so that it is readable on any ground. */
export const markColours = ['ink', 'sheet', 'brick', 'petrol', 'ochre', 'moss'] as const
export type MarkColour = (typeof markColours)[number]

/** Marks between two points. */
export const lineMarks = ['arrow', 'line', 'rectangle', 'ellipse'] as const
export type LineMarkKind = (typeof lineMarks)[number]

export const concealFills = ['cover', 'squares'] as const
export type ConcealFill = (typeof concealFills)[number]

export const cropShapes = ['free', 'square', '4:3', '3:2', 'a-series', 'exact'] as const

export const EMPTY_RECIPE: PictureRecipe = { schema: RECIPE_SCHEMA, steps: [] }

/** The schema number of new collages; see `upgradeCollage`. */
export const COLLAGE_SCHEMA = 1
export const MOST_LAYERS = 400
/** The most pictures that can be added to a board together. */
export const MOST_PICTURES_AT_ONCE = 200
export const MOST_STROKES = 500

export const collageSizes = ['wide', 'square', 'tall', 'a4'] as const
export type CollageSize = (typeof collageSizes)[number]

/** Board sizes in board units; renditions have twice as many pixels. */
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
