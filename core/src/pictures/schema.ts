// A picture recipe: the steps of the picture bench, stored beside the unchanged original.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../schemas/index.ts'
import {
  concealFills,
  cropShapes,
  lineMarks,
  markColours,
  MOST_CORNERS,
  MOST_MARKS,
  MOST_PARTS,
  MOST_PEN_POINTS,
  RECIPE_SCHEMA,
} from './valueLists.ts'

const on = Type.Boolean({ description: 'Whether the step is carried out; one that is off keeps its values' })
const fraction = Type.Number({
  minimum: -1,
  maximum: 2,
  description: 'A part of the side, of the picture before this step',
})
const place = Type.Tuple([fraction, fraction])
const amount = Type.Integer({ minimum: -100, maximum: 100 })
const pixel = Type.Number({ minimum: -100_000, maximum: 100_000 })

const turnStepSchema = object({
  kind: Type.Literal('turn'),
  on,
  quarters: Type.Integer({ minimum: 0, maximum: 3, description: 'Quarter turns clockwise' }),
  degrees: Type.Number({ minimum: -45, maximum: 45, description: 'The fine turn, clockwise' }),
  mirrored: Type.Boolean({ description: 'Left and right exchanged, before it is turned' }),
})
export type TurnStep = Static<typeof turnStepSchema>

const squareStepSchema = object({
  kind: Type.Literal('square'),
  on,
  corners: Type.Tuple([place, place, place, place], {
    description: 'Top left, top right, bottom right, bottom left of the sheet',
  }),
  proportions: Type.Union([
    Type.Literal('estimated'),
    Type.Number({ minimum: 0.05, maximum: 20, description: 'Width over height' }),
  ]),
  byHand: Type.Integer({ minimum: 0, maximum: 4, description: 'How many corners were dragged' }),
})
export type SquareStep = Static<typeof squareStepSchema>

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

const cropStepSchema = object({
  kind: Type.Literal('crop'),
  on,
  shape: Type.Enum([...cropShapes]),
  box: object({
    x: Type.Number({ minimum: 0, maximum: 1 }),
    y: Type.Number({ minimum: 0, maximum: 1 }),
    width: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
    height: Type.Number({ exclusiveMinimum: 0, maximum: 1 }),
  }),
})
export type CropStep = Static<typeof cropStepSchema>

const level = Type.Integer({ minimum: 0, maximum: 255 })
const evenStepSchema = object({
  kind: Type.Literal('even'),
  on,
  strength: Type.Integer({
    minimum: 0,
    maximum: 100,
    description: 'How much of the uneven light is removed',
  }),
  levels: Type.Union([
    Type.Literal('found'),
    object({ black: level, white: level, middle: Type.Number({ minimum: 0.1, maximum: 10 }) }),
  ]),
})
export type EvenStep = Static<typeof evenStepSchema>

const lightStepSchema = object({
  kind: Type.Literal('light'),
  on,
  brightness: amount,
  contrast: amount,
  warmth: amount,
  sharpness: Type.Integer({ minimum: 0, maximum: 100 }),
})
export type LightStep = Static<typeof lightStepSchema>

const concealedRegionSchema = object({
  corners: Type.Array(Type.Tuple([pixel, pixel]), {
    minItems: 1,
    maxItems: MOST_CORNERS,
    description: 'In pixels of the original, upright: a closed outline, or the line that a brush went along',
  }),
  radius: Type.Number({
    minimum: 0,
    maximum: 5000,
    description: 'How far a brush covers about its line; 0 for an outline',
  }),
  fill: Type.Enum([...concealFills]),
  seed: Type.Integer({ minimum: 0, maximum: 0xffffffff, description: 'What the squares are coloured by' }),
})
export type ConcealedRegion = Static<typeof concealedRegionSchema>

const concealStepSchema = object({
  kind: Type.Literal('conceal'),
  on,
  parts: Type.Array(concealedRegionSchema, { maxItems: MOST_PARTS }),
})

const mark = { id: Type.String({ minLength: 1, maxLength: 40 }) }
const stroke = {
  colour: Type.Enum([...markColours]),
  width: Type.Number({ minimum: 0.5, maximum: 1000, description: 'In pixels of the original' }),
}
const spot = Type.Tuple([pixel, pixel], { description: 'In pixels of the original, upright' })

const penMarkSchema = object({
  ...mark,
  kind: Type.Literal('pen'),
  points: Type.Array(spot, { minItems: 1, maxItems: MOST_PEN_POINTS }),
  ...stroke,
})
const lineMarkSchema = object({
  ...mark,
  kind: Type.Enum([...lineMarks]),
  from: spot,
  to: spot,
  ...stroke,
})
const textMarkSchema = object({
  ...mark,
  kind: Type.Literal('text'),
  at: spot,
  words: Type.String({ maxLength: 500 }),
  size: Type.Number({ minimum: 4, maximum: 4000, description: 'Of the letters, in pixels of the original' }),
  colour: Type.Enum([...markColours]),
})
const pinMarkSchema = object({
  ...mark,
  kind: Type.Literal('pin'),
  at: spot,
  region: Type.Union([Type.Array(spot, { minItems: 3, maxItems: 8 }), Type.Null()], {
    description: 'The outline of what it points at, in pixels of the original',
  }),
  note: Type.String({ maxLength: 1000 }),
})
const markSchema = Type.Union([penMarkSchema, lineMarkSchema, textMarkSchema, pinMarkSchema])
export type Mark = Static<typeof markSchema>
export type PinMark = Static<typeof pinMarkSchema>

const markStepSchema = object({
  kind: Type.Literal('mark'),
  on,
  marks: Type.Array(markSchema, { maxItems: MOST_MARKS }),
})

const recipeStepSchema = Type.Union([
  turnStepSchema,
  squareStepSchema,
  cropStepSchema,
  evenStepSchema,
  lightStepSchema,
  concealStepSchema,
  markStepSchema,
])
export type RecipeStep = Static<typeof recipeStepSchema>
export type StepKind = RecipeStep['kind']

/** At most one step of each kind, in the order in which they were first taken. */
export const recipeSchema = object({
  schema: Type.Literal(RECIPE_SCHEMA),
  steps: Type.Array(recipeStepSchema, { maxItems: 7 }),
})
export type PictureRecipe = Static<typeof recipeSchema>

/** The saved recipe of a version of an item. */
export const savedRecipeSchema = object({
  recipe: recipeSchema,
  revision: Type.Integer({ description: '0 before anything was done' }),
  original: object({
    width: Type.Integer({ description: 'Upright, in pixels' }),
    height: Type.Integer(),
  }),
  isMade: Type.Boolean({ description: 'Whether the pictures by this recipe are ready' }),
})
export type SavedRecipe = Static<typeof savedRecipeSchema>
