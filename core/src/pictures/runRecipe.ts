// Carries a recipe out: conceals, moves the pixels once, then puts the light right. The same in a worker and a server.
import { conceal } from './conceal.ts'
import { evenOut, mapLight } from './evenOut.ts'
import { resolveGeometry } from './geometry.ts'
import {
  applyCurves,
  type Curves,
  findLevels,
  histogramOf,
  joinCurves,
  levelCurves,
  lightCurves,
} from './levels.ts'
import { compose, type Matrix, scaling } from './matrix.ts'
import { alignRaster, fitPixels, type Raster, shrink, type Size } from './raster.ts'
import type { ConcealedRegion, EvenStep, PictureRecipe, RecipeStep, StepKind } from './schema.ts'
import { sharpen } from './sharpen.ts'
import { warp } from './warp.ts'
import { asStretch, finish, type Work } from './work.ts'

/** Light is measured on a picture of this size: more pixels would not tell it better. */
const MEASURED_AT = 512

/**
 * Runs a recipe on an original.
 *
 * Whatever order the steps were taken in, regions are concealed first, in the original, so that no later step sees
 * what was under them; then all moves of pixels are one map and one resampling; light comes last, measured on what is
 * left of the picture. So a step that is switched off or taken later gives the same result.
 *
 * @param source the pixels of the original, or a smaller picture of it; concealed regions are painted into it
 * @param original the size that the recipe was made for
 */
export function* runRecipe(source: Raster, recipe: PictureRecipe, original: Size): Work<Raster> {
  const steps = recipe.steps.filter((step) => step.on)
  const aligned = alignRaster(source)
  const parts = stepOf(steps, 'conceal')?.parts ?? []
  concealSource(aligned, parts, original)
  const moved = yield* asStretch(movePixels(aligned, steps, original), 0, 0.5)
  const lit = yield* asStretch(putLightRight(moved, steps), 0.5, 0.85)
  const light = stepOf(steps, 'light')
  const sharp = light && light.sharpness > 0 ? yield* asStretch(sharpen(lit, light.sharpness), 0.85, 1) : lit
  return coverAgain(sharp, parts, steps, original)
}

/** A picture that is smaller than the original mixes pixels over some distance: so much more is covered. */
const MIXED_OVER = 3

function concealSource(source: Raster, parts: readonly ConcealedRegion[], original: Size): void {
  if (parts.length === 0) return
  const toSource = scaling(source.width / original.width, source.height / original.height)
  conceal(source, parts, toSource, source.width < original.width ? MIXED_OVER : undefined)
}

/** Covers are painted once more, since the steps for light would have coloured each of them differently. */
function coverAgain(
  result: Raster,
  parts: readonly ConcealedRegion[],
  steps: readonly RecipeStep[],
  original: Size,
): Raster {
  const covers = parts.filter(({ fill }) => fill === 'cover')
  if (covers.length === 0) return result
  const { size, toResult } = resolveGeometry(original, steps)
  return conceal(
    result,
    covers,
    compose(toResult, scaling(result.width / size.width, result.height / size.height)),
  )
}

/** Returns the step of a kind, or undefined. */
export function stepOf<K extends StepKind>(
  steps: readonly RecipeStep[],
  kind: K,
): Extract<RecipeStep, { kind: K }> | undefined {
  return steps.find((step): step is Extract<RecipeStep, { kind: K }> => step.kind === kind)
}

function* movePixels(source: Raster, steps: readonly RecipeStep[], original: Size): Work<Raster> {
  const geometry = resolveGeometry(original, steps)
  const scale = source.width / original.width
  const size = fitPixels({
    width: Math.max(1, Math.round(geometry.size.width * scale)),
    height: Math.max(1, Math.round(geometry.size.height * scale)),
  })
  const toOriginal = compose(
    scaling(geometry.size.width / size.width, geometry.size.height / size.height),
    geometry.toOriginal,
  )
  const toSource = compose(toOriginal, scaling(scale, source.height / original.height))
  return isIdentity(toSource) && size.width === source.width && size.height === source.height
    ? source
    : yield* warp(source, size, toSource)
}

function* putLightRight(raster: Raster, steps: readonly RecipeStep[]): Work<Raster> {
  const [even, light] = [stepOf(steps, 'even'), stepOf(steps, 'light')]
  const lit = light && lightCurves(light)
  if (even) return yield* evenOutBy(raster, even, lit)
  return lit ? yield* applyCurves(raster, lit) : raster
}

/** Levels that have to be found are found in what evening out makes of a small picture. */
function* evenOutBy(raster: Raster, step: EvenStep, then: Curves | undefined): Work<Raster> {
  const light = mapLight(raster)
  const levels = step.levels === 'found' ? levelsAfter(raster, step, light) : step.levels
  const curves = levelCurves(levels)
  return yield* evenOut(raster, light, step.strength, then ? joinCurves(curves, then) : curves)
}

function levelsAfter(raster: Raster, step: EvenStep, light: ReturnType<typeof mapLight>) {
  const shrunk = shrink(raster, MEASURED_AT)
  const small = shrunk === raster ? { ...raster, data: Uint8ClampedArray.from(raster.data) } : shrunk
  return findLevels(histogramOf(finish(evenOut(small, light, step.strength, UNCHANGED))))
}

const same = Uint8Array.from({ length: 256 }, (_, value) => value)
const UNCHANGED: Curves = { red: same, green: same, blue: same }

function isIdentity([a, b, c, d, e, f, g, h, i]: Matrix): boolean {
  const off = [a / i - 1, b / i, c / i, d / i, e / i - 1, f / i, g / i, h / i]
  return off.every((value) => Math.abs(value) < 1e-9)
}
