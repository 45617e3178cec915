// The first proposal for a photo: the sheet found and squared up, its light evened, what stands in its corners concealed.
import { type FoundSheet, findCorners } from './findCorners.ts'
import { findFaults, type PictureFault } from './findFaults.ts'
import { findPrivate, type WritingFound } from './findPrivate.ts'
import { boxToOriginal, type Geometry, resolveGeometry } from './geometry.ts'
import { compose, type Quad, scaling } from './matrix.ts'
import { fitSize, type Raster, shrink, type Size } from './raster.ts'
import type { ConcealedRegion, PictureRecipe, RecipeStep, SquareStep } from './schema.ts'
import { EMPTY_RECIPE } from './valueLists.ts'
import { warp } from './warp.ts'
import { finish } from './work.ts'

export interface Proposal {
  readonly recipe: PictureRecipe
  readonly faults: readonly PictureFault[]
  /** In pixels of the original; null where no sheet was found, and then nothing is proposed. */
  readonly corners: Quad | null
}

const LOOKED_AT = 1600

/**
 * Proposes a recipe for a photo, and names the faults that it cannot correct.
 *
 * @param raster the photo, or a smaller picture of it
 * @param original the size of the photo, for which the recipe is made
 * @param seed of the pattern over concealed regions
 */
export function proposeRecipe(raster: Raster, original: Size, seed: number): Proposal {
  const small = shrink(raster, LOOKED_AT)
  const sheet = findCorners(small)
  const faults = findFaults(small, sheet)
  if (!sheet) return { recipe: EMPTY_RECIPE, faults, corners: null }
  const square = squareStepFor(sheet, small)
  const steps: RecipeStep[] = [square, { kind: 'even', on: true, strength: 95, levels: 'found' }]
  const parts = findPrivateRegions(small, original, [square], seed)
  const named = parts.filter(({ isInCorner }) => isInCorner).map(({ region }) => region)
  if (named.length > 0) steps.push({ kind: 'conceal', on: true, parts: named })
  const scale = original.width / small.width
  const corners = sheet.corners.map(({ x, y }) => ({ x: x * scale, y: y * scale })) as unknown as Quad // four went in
  return { recipe: { ...EMPTY_RECIPE, steps }, faults, corners }
}

/** Returns the step that squares up a found sheet, where no other step moves pixels. */
export function squareStepFor({ corners }: Pick<FoundSheet, 'corners'>, { width, height }: Size): SquareStep {
  // A corner of a sheet that runs out may be found a little beyond the picture.
  const places = corners.map(({ x, y }): [number, number] => [x / width, y / height])
  return {
    kind: 'square',
    on: true,
    corners: places as SquareStep['corners'], // four went in
    proportions: 'estimated',
    byHand: 0,
  }
}

/** Finds what may be private in the picture that some steps make, as regions that can be concealed. */
export function findPrivateRegions(
  raster: Raster,
  original: Size,
  steps: readonly RecipeStep[],
  seed: number,
): { readonly region: ConcealedRegion; readonly isInCorner: boolean }[] {
  const geometry = resolveGeometry(original, steps)
  const moved = moveSmall(raster, original, geometry)
  const scale = geometry.size.width / moved.width
  return findPrivate(moved).map((found, n) => ({
    region: regionOf(found, geometry, scale, seed + n),
    isInCorner: found.isInCorner,
  }))
}

function moveSmall(raster: Raster, original: Size, geometry: Geometry): Raster {
  const size = fitSize(geometry.size, Math.min(LOOKED_AT, Math.max(raster.width, raster.height)))
  const toOriginal = compose(
    scaling(geometry.size.width / size.width, geometry.size.height / size.height),
    geometry.toOriginal,
  )
  return finish(
    warp(
      raster,
      size,
      compose(toOriginal, scaling(raster.width / original.width, raster.height / original.height)),
    ),
  )
}

function regionOf({ box }: WritingFound, geometry: Geometry, scale: number, seed: number): ConcealedRegion {
  const { x, y, width, height } = box
  const corners = boxToOriginal(geometry, {
    x: x * scale,
    y: y * scale,
    width: width * scale,
    height: height * scale,
  })
  return {
    corners: corners.map((corner): [number, number] => [corner.x, corner.y]),
    radius: 0,
    fill: 'cover',
    seed: seed >>> 0,
  }
}
