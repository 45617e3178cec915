// Corners of a sheet between the picture as taken, where they are dragged, and the step, which may follow other steps.
import { cornersIn, resolveGeometry, stepOf, toOriginalPoint, toResultPoint } from '@valise/core/pictures'
import type { PictureRecipe, Quad, Size, SquareStep } from '@valise/core/pictures'
import { plainSquare } from './steps.ts'

/** Returns the corners of the step, or of a new one, in pixels of the original. */
export function cornersAsTaken(original: Size, recipe: PictureRecipe): Quad {
  const before = resolveGeometry(original, recipe.steps, 'square')
  const step = stepOf(recipe.steps, 'square') ?? plainSquare
  return cornersIn(before.size, step.corners).map((corner) =>
    toOriginalPoint(before, corner),
  ) as unknown as Quad // four
}

/** Returns the step for corners in pixels of the original. */
export function squareStepOf(original: Size, recipe: PictureRecipe, corners: Quad): SquareStep {
  const before = resolveGeometry(original, recipe.steps, 'square')
  const step = stepOf(recipe.steps, 'square') ?? plainSquare
  const places = corners.map((corner): [number, number] => {
    const { x, y } = toResultPoint(before, corner)
    return [x / before.size.width, y / before.size.height]
  })
  return { ...step, on: true, corners: places as SquareStep['corners'] } // four went in
}
