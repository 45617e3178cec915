// Steps as they begin when their tool is chosen first, and what each does in numbers.
import { resolveGeometry, stepOf, toResultPoint } from '@valise/core/pictures'
import type {
  CropStep,
  EvenStep,
  LightStep,
  PictureRecipe,
  Point,
  Size,
  SquareStep,
  TurnStep,
} from '@valise/core/pictures'

export const plainTurn: TurnStep = { kind: 'turn', on: true, quarters: 0, degrees: 0, mirrored: false }
export const plainEven: EvenStep = { kind: 'even', on: true, strength: 90, levels: 'found' }
export const plainLight: LightStep = {
  kind: 'light',
  on: true,
  brightness: 0,
  contrast: 0,
  warmth: 0,
  sharpness: 0,
}
export const plainCrop: CropStep = {
  kind: 'crop',
  on: true,
  shape: 'free',
  box: { x: 0, y: 0, width: 1, height: 1 },
}

/** The corners of the whole picture, a little inside, where no sheet was found. */
export const plainSquare: SquareStep = {
  kind: 'square',
  on: true,
  corners: [
    [0.08, 0.08],
    [0.92, 0.08],
    [0.92, 0.92],
    [0.08, 0.92],
  ],
  proportions: 'estimated',
  byHand: 0,
}

const shapes = { square: 1, '4:3': 4 / 3, '3:2': 3 / 2, 'a-series': Math.SQRT2 } as const

/** Returns the proportions that a crop keeps, landscape or portrait like its box; null for free. */
export function ratioOf({ shape, box }: CropStep, { width, height }: Size): number | null {
  if (shape === 'free' || shape === 'exact') return null
  const lying = shapes[shape]
  return box.width * width >= box.height * height ? lying : 1 / lying
}

/** Adds a quarter turn; what was drawn later keeps its position as far as possible. */
export function turnedBy(recipe: PictureRecipe, quarters: number): TurnStep {
  const step = stepOf(recipe.steps, 'turn') ?? plainTurn
  return { ...step, on: true, quarters: (((step.quarters + quarters) % 4) + 4) % 4 }
}

/** Returns the turn that makes a line traced in the original level or upright, whichever is nearer. */
export function levelledBy(
  original: Size,
  recipe: PictureRecipe,
  [from, to]: readonly [Point, Point],
): TurnStep {
  const upright: TurnStep = { ...(stepOf(recipe.steps, 'turn') ?? plainTurn), on: true, degrees: 0 }
  const at = recipe.steps.findIndex(({ kind }) => kind === 'turn')
  const before = at < 0 ? recipe.steps : recipe.steps.slice(0, at)
  const geometry = resolveGeometry(original, [...before, upright])
  const [start, end] = [toResultPoint(geometry, from), toResultPoint(geometry, to)]
  const angle = (Math.atan2(end.y - start.y, end.x - start.x) * 180) / Math.PI
  const off = angle - Math.round(angle / 90) * 90
  return { ...upright, degrees: Math.round(Math.min(45, Math.max(-45, -off)) * 10) / 10 }
}
