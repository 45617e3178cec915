// Whether a recipe can be carried out on a picture of a size, and if not, what has to be mended in it.
import { type Decision, no, type Reason, yes } from '../problems/index.ts'
import { cornersIn, LEAST_CROP, resolveGeometry } from './geometry.ts'
import { findQuadFault, type QuadFault } from './quad.ts'
import type { Size } from './raster.ts'
import type { ConcealedRegion, PictureRecipe } from './schema.ts'
import { MOST_COVERED, MOST_TALL_CORNERS } from './valueLists.ts'

const reasonOf = {
  crossing: 'corners-crossing',
  'in-a-line': 'corners-in-a-line',
  'too-small': 'corners-too-near',
} as const satisfies Record<QuadFault, Reason>

/**
 * Decides whether a recipe can be saved. Steps that are off are checked too, because they can be switched on at any
 * time.
 */
export function decideRecipe(original: Size, { steps }: PictureRecipe): Decision {
  if (new Set(steps.map(({ kind }) => kind)).size < steps.length) return no('invalid-input')
  for (const step of steps) {
    const { size } = resolveGeometry(original, steps, step.kind)
    if (step.kind === 'square') {
      const fault = findQuadFault(cornersIn(size, step.corners))
      if (fault) return no(reasonOf[fault])
    }
    if (step.kind === 'conceal' && isTooMuch(original, step.parts)) return no('covers-too-many')
    if (step.kind === 'crop') {
      const { width, height } = step.box
      if (width * size.width < LEAST_CROP || height * size.height < LEAST_CROP) return no('crop-too-small')
    }
  }
  return yes
}

/** Whether painting over the parts would take longer than anybody waits: more than anyone covers by hand. */
function isTooMuch({ width, height }: Size, parts: readonly ConcealedRegion[]): boolean {
  let covered = 0
  let tallCorners = 0
  for (const { corners, radius } of parts) {
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)]
    const wide = Math.min(1, (Math.max(...xs) - Math.min(...xs) + 2 * radius) / width)
    const tall = Math.min(1, (Math.max(...ys) - Math.min(...ys) + 2 * radius) / height)
    covered += wide * tall
    tallCorners += corners.length * tall
  }
  return covered > MOST_COVERED || tallCorners > MOST_TALL_CORNERS
}
