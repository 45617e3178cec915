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

/** The whole picture's corners, a little inside, where no sheet was found. */
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

export const shapes = { square: 1, '4:3': 4 / 3, '3:2': 3 / 2, 'a-series': Math.SQRT2 } as const

/** Width over height that a crop holds, lying or standing as its box does; null for any. */
export function ratioOf({ shape, box }: CropStep, { width, height }: Size): number | null {
  if (shape === 'free' || shape === 'exact') return null
  const lying = shapes[shape]
  return box.width * width >= box.height * height ? lying : 1 / lying
}

/** A quarter turn more; what was drawn after it keeps its place as far as that can be told. */
export function turnedBy(recipe: PictureRecipe, quarters: number): TurnStep {
  const step = stepOf(recipe.steps, 'turn') ?? plainTurn
  return { ...step, on: true, quarters: (((step.quarters + quarters) % 4) + 4) % 4 }
}

/** The turn by which a line that was traced in the picture as taken becomes level or upright, whichever is nearer. */
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
