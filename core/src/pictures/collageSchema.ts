// A collage: a board with pictures, shapes, speech bubbles, text and drawing, stored as editable data.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../schemas/index.ts'
import {
  COLLAGE_SCHEMA,
  collageColours,
  collageFonts,
  collageShapes,
  collageSizes,
  MOST_LAYERS,
  MOST_PEN_POINTS,
  MOST_PICTURES_AT_ONCE,
  MOST_STROKES,
  pictureShapes,
} from './valueLists.ts'

const place = Type.Number({ minimum: -20_000, maximum: 20_000 })
const extent = Type.Number({ minimum: 1, maximum: 20_000 })
const colour = Type.Enum([...collageColours])

/** What every layer has: its box before it is turned about its middle, in units of the board. */
const layer = {
  id: Type.String({ minLength: 1, maxLength: 40 }),
  x: place,
  y: place,
  width: extent,
  height: extent,
  turn: Type.Number({ minimum: -360, maximum: 360, description: 'Degrees clockwise' }),
  isLocked: Type.Boolean(),
  group: Type.Union([Type.String({ maxLength: 40 }), Type.Null()]),
}

const pictureLayerSchema = object({
  ...layer,
  kind: Type.Literal('picture'),
  evidenceId: idSchema,
  n: Type.Integer({ minimum: 1 }),
  shape: Type.Enum([...pictureShapes]),
  focus: object({
    x: Type.Number({
      minimum: 0,
      maximum: 1,
      description: 'The middle of what shows, as a part of the width',
    }),
    y: Type.Number({ minimum: 0, maximum: 1 }),
    zoom: Type.Number({
      minimum: 1,
      maximum: 10,
      description: 'How much it is enlarged beyond filling its box',
    }),
  }),
})
export type PictureLayer = Static<typeof pictureLayerSchema>

const words = {
  words: Type.String({ maxLength: 2000 }),
  size: Type.Number({ minimum: 6, maximum: 600 }),
  font: Type.Enum([...collageFonts]),
  align: Type.Enum(['left', 'center', 'right']),
  ink: colour,
}

const shapeLayerSchema = object({
  ...layer,
  kind: Type.Literal('shape'),
  shape: Type.Enum([...collageShapes]),
  fill: Type.Union([colour, Type.Null()]),
  line: Type.Union([colour, Type.Null()]),
  lineWidth: Type.Number({ minimum: 0, maximum: 100 }),
  tail: Type.Union([Type.Tuple([place, place]), Type.Null()], {
    description: 'Where a bubble points to, from its middle',
  }),
  ...words,
})
export type ShapeLayer = Static<typeof shapeLayerSchema>

const textLayerSchema = object({ ...layer, kind: Type.Literal('text'), ...words })
export type TextLayer = Static<typeof textLayerSchema>

/** An arrow from the left centre of its box to the right centre, bent up or down. */
const arrowLayerSchema = object({
  ...layer,
  kind: Type.Literal('arrow'),
  colour,
  lineWidth: Type.Number({ minimum: 1, maximum: 100 }),
  bend: Type.Number({ minimum: -1, maximum: 1 }),
  hasHead: Type.Boolean(),
})
export type ArrowLayer = Static<typeof arrowLayerSchema>

/** A numbered label. Numbers follow the order of the layers, so they never have a gap. */
const numberLayerSchema = object({
  ...layer,
  kind: Type.Literal('number'),
  colour,
  note: Type.String({ maxLength: 500 }),
})
export type NumberLayer = Static<typeof numberLayerSchema>

const strokeSchema = object({
  points: Type.Array(Type.Tuple([place, place]), { minItems: 1, maxItems: MOST_PEN_POINTS }),
  colour,
  width: Type.Number({ minimum: 0.5, maximum: 200 }),
  isEraser: Type.Boolean(),
})
const drawingLayerSchema = object({
  ...layer,
  kind: Type.Literal('drawing'),
  strokes: Type.Array(strokeSchema, {
    maxItems: MOST_STROKES,
    description: 'In thousandths of its box, so that they are resized with it',
  }),
})
export type DrawingLayer = Static<typeof drawingLayerSchema>

const layerSchema = Type.Union([
  pictureLayerSchema,
  shapeLayerSchema,
  textLayerSchema,
  arrowLayerSchema,
  numberLayerSchema,
  drawingLayerSchema,
])
export type Layer = Static<typeof layerSchema>

export const collageSchema = object({
  schema: Type.Literal(COLLAGE_SCHEMA),
  size: Type.Enum([...collageSizes]),
  background: Type.Union([
    object({ kind: Type.Literal('colour'), colour }),
    object({ kind: Type.Literal('picture'), evidenceId: idSchema, n: Type.Integer({ minimum: 1 }) }),
  ]),
  layers: Type.Array(layerSchema, { maxItems: MOST_LAYERS, description: 'From the lowest to the uppermost' }),
})
export type Collage = Static<typeof collageSchema>

/** A picture in a collage, with the facts of its item that the client needs. */
const picturedSchema = object({
  evidenceId: idSchema,
  n: Type.Integer({ minimum: 1 }),
  title: Type.String(),
  alternativeText: Type.String(),
  width: Type.Integer(),
  height: Type.Integer(),
  renderRevision: Type.Integer({ description: 'The recipe that made its renditions' }),
})
export type Pictured = Static<typeof picturedSchema>

export const savedCollageSchema = object({
  collage: collageSchema,
  revision: Type.Integer(),
  isMade: Type.Boolean({ description: 'Whether what others see is made by it already' }),
  pictures: Type.Array(picturedSchema, { description: 'Those that are there, in reading order' }),
})
export type SavedCollage = Static<typeof savedCollageSchema>

export const newCollageSchema = object({
  size: Type.Enum([...collageSizes]),
  pictures: Type.Array(idSchema, { maxItems: MOST_PICTURES_AT_ONCE, description: 'To begin with' }),
})
export type NewCollage = Static<typeof newCollageSchema>
