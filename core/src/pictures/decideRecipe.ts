// Whether a recipe can be carried out on a picture of a size, and if not, what has to be mended in it.
import { type Decision, no, type Reason, yes } from '../problems/index.ts'
import { cornersIn, LEAST_CROP, resolveGeometry } from './geometry.ts'
import { findQuadFault, type QuadFault } from './quad.ts'
import type { Size } from './raster.ts'
import type { PictureRecipe } from './schema.ts'

const reasonOf = {
  crossing: 'corners-crossing',
  'in-a-line': 'corners-in-a-line',
  'too-small': 'corners-too-near',
} as const satisfies Record<QuadFault, Reason>

/** Steps that are off are looked at too: they can be switched on at any time. */
export function decideRecipe(original: Size, { steps }: PictureRecipe): Decision {
  if (new Set(steps.map(({ kind }) => kind)).size < steps.length) return no('invalid-input')
  for (const step of steps) {
    const { size } = resolveGeometry(original, steps, step.kind)
    if (step.kind === 'square') {
      const fault = findQuadFault(cornersIn(size, step.corners))
      if (fault) return no(reasonOf[fault])
    }
    if (step.kind === 'crop') {
      const { width, height } = step.box
      if (width * size.width < LEAST_CROP || height * size.height < LEAST_CROP) return no('crop-too-small')
    }
  }
  return yes
}
