// What turning, squaring up and cropping do together: one map between the original's pixels and the result's.
import {
  compose,
  IDENTITY,
  invert,
  mapPoint,
  type Matrix,
  moving,
  type Point,
  type Quad,
  rectangleToQuad,
  scaling,
  turning,
} from './matrix.ts'
import { findQuadFault, proportionsOf, squaredSize } from './quad.ts'
import { fitPixels, type Size } from './raster.ts'
import type { Box, CropStep, RecipeStep, SquareStep, TurnStep } from './schema.ts'

/** The size of a result, and the maps between its pixels and those of the original. */
export interface Geometry {
  readonly size: Size
  readonly toOriginal: Matrix
  readonly toResult: Matrix
}

/** The smallest side, in pixels, that a crop can leave. */
export const LEAST_CROP = 2

/**
 * Combines all steps that move pixels, in their order; `until` omits that step and those after it.
 *
 * An impossible step (corners in a line, a crop without a size) is skipped rather than spoiling the picture.
 */
export function resolveGeometry(original: Size, steps: readonly RecipeStep[], until?: string): Geometry {
  let size = original
  let toOriginal = IDENTITY
  for (const step of steps) {
    if (step.kind === until) break
    if (!step.on) continue
    const moved = moveBy(step, size, original, toOriginal)
    if (!moved) continue
    size = moved.size
    toOriginal = compose(moved.toInput, toOriginal)
  }
  return { size, toOriginal, toResult: invert(toOriginal) }
}

/** Maps a point of the original to the result. */
export function toResultPoint(geometry: Geometry, point: Point): Point {
  return mapPoint(geometry.toResult, point)
}
export function toOriginalPoint(geometry: Geometry, point: Point): Point {
  return mapPoint(geometry.toOriginal, point)
}

/** Returns the four corners that a box of the result has in the original. */
export function boxToOriginal(geometry: Geometry, { x, y, width, height }: Box): Quad {
  const corners: Quad = [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ]
  return corners.map((corner) => mapPoint(geometry.toOriginal, corner)) as unknown as Quad // four went in
}

/** Converts corners from fractions of the picture's sides to pixels. */
export function cornersIn({ width, height }: Size, corners: SquareStep['corners']): Quad {
  return corners.map(([x, y]) => ({ x: x * width, y: y * height })) as unknown as Quad // four went in
}

interface Moved {
  readonly size: Size
  /** From the pixels that come out of the step to the ones that went in. */
  readonly toInput: Matrix
}

function moveBy(step: RecipeStep, size: Size, original: Size, toOriginal: Matrix): Moved | null {
  if (step.kind === 'turn') return turnBy(step, size)
  if (step.kind === 'crop') return cropBy(step, size)
  if (step.kind === 'square') return squareBy(step, size, original, toOriginal)
  return null
}

/** First mirrored, then quarter turns, then the fine turn, which keeps what leaves no corner empty. */
function turnBy({ quarters, degrees, mirrored }: TurnStep, { width, height }: Size): Moved {
  const upright = quarters % 2 === 0 ? { width, height } : { width: height, height: width }
  const size = degrees === 0 ? upright : largestInside(upright, degrees)
  const toInput = [
    moving(-size.width / 2, -size.height / 2),
    turning(-degrees),
    quarterTurn(-quarters),
    mirrored ? scaling(-1, 1) : IDENTITY,
    moving(width / 2, height / 2),
  ].reduce(compose)
  return { size, toInput }
}

/** Exact, where sine and cosine would leave crumbs that make a lossless turn lossy. */
function quarterTurn(quarters: number): Matrix {
  const [sine, cosine] = (
    [
      [0, 1],
      [1, 0],
      [0, -1],
      [-1, 0],
    ] as const
  )[((quarters % 4) + 4) % 4] ?? [0, 1] // 0 to 3
  return [cosine, -sine, 0, sine, cosine, 0, 0, 0, 1]
}

/** The largest picture of the same proportions that fits inside one turned by some degrees. */
function largestInside({ width, height }: Size, degrees: number): Size {
  const angle = (Math.abs(degrees) * Math.PI) / 180
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
  const factor = Math.min(width / (width * cosine + height * sine), height / (width * sine + height * cosine))
  return { width: Math.max(1, Math.round(width * factor)), height: Math.max(1, Math.round(height * factor)) }
}

function cropBy({ box }: CropStep, { width, height }: Size): Moved | null {
  const [left, top] = [Math.round(box.x * width), Math.round(box.y * height)]
  const size = { width: Math.round(box.width * width), height: Math.round(box.height * height) }
  if (size.width < LEAST_CROP || size.height < LEAST_CROP) return null
  return { size, toInput: moving(left, top) }
}

/** The proportions follow from the corners as the camera saw them, so before any other step. */
function squareBy(step: SquareStep, size: Size, original: Size, toOriginal: Matrix): Moved | null {
  const corners = cornersIn(size, step.corners)
  if (findQuadFault(corners)) return null
  const taken = corners.map((corner) => mapPoint(toOriginal, corner)) as unknown as Quad // four went in
  const middle = { x: original.width / 2, y: original.height / 2 }
  const seen = isMirrored(toOriginal) ? mirroredOrder(taken) : taken
  const ratio = step.proportions === 'estimated' ? proportionsOf(seen, middle) : step.proportions
  const squared = fitPixels(squaredSize(corners, ratio))
  return { size: squared, toInput: rectangleToQuad(squared, corners) }
}

function isMirrored([a, b, , d, e]: Matrix): boolean {
  return a * e - b * d < 0
}

/** Round the other way, with the same sides across. */
function mirroredOrder([p, q, r, s]: Quad): Quad {
  return [q, p, s, r]
}
