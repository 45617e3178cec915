// Faults of a photo that no step can correct: shown before the photo is saved, so that it is taken again.
import type { FoundSheet } from './findCorners.ts'
import { histogramOf, quantileOf } from './levels.ts'
import { greyOf, type Raster, shrink } from './raster.ts'

export type PictureFault = 'runs-out' | 'blurred' | 'too-dark'

/** Blur is measured at this size: what is blurred only beyond it is not seen on a screen. */
const LOOKED_AT = 1000
/** Paper below this cannot be made white without its grain: evening out multiplies by four at most. */
const DARKEST_PAPER = 58
/** From this width of a step between light and dark on, in pixels, handwriting is hard to read. */
const WIDEST_STEP = 6
/** Steps smaller than this are grain. */
const LEAST_STEP = 18
const LEAST_COUNT = 60

/**
 * Finds the faults of a photo. @param sheet the result of `findCorners`
 */
export function findFaults(raster: Raster, sheet: FoundSheet | null): PictureFault[] {
  const small = shrink(raster, LOOKED_AT)
  const faults: PictureFault[] = []
  if (sheet?.runsOut) faults.push('runs-out')
  if (isBlurred(small)) faults.push('blurred')
  if (quantileOf(histogramOf(small).grey, 0.9) < DARKEST_PAPER) faults.push('too-dark')
  return faults
}

/**
 * Whether even the sharpest steps are wide.
 *
 * The width of steps between light and dark along rows and columns (P. Marziliano, F. Dufaux, S. Winkler and
 * T. Ebrahimi, "A no-reference perceptual blur metric", 2002); of the clear ones the narrowest quarter counts, since a
 * soft shadow is wide in a sharp picture too. Without enough clear steps nothing is said.
 */
function isBlurred(raster: Raster): boolean {
  const { width, height } = raster
  const grey = softened(greyOf(raster), width, height)
  const widths = new Uint32Array(64)
  for (let y = 2; y < height - 2; y += 3) collectSteps(grey, y * width, 1, width, widths)
  for (let x = 2; x < width - 2; x += 3) collectSteps(grey, x, width, height, widths)
  const count = widths.reduce((sum, each) => sum + each, 0)
  return count >= LEAST_COUNT && quantileOf(widths, 0.25) > WIDEST_STEP
}

/** Means of three by three, so that the grain of a camera does not break a wide step into narrow ones. */
function softened(grey: Uint8Array, width: number, height: number): Uint8Array {
  const soft = new Uint8Array(grey)
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1, at = y * width + 1; x < width - 1; x += 1, at += 1) {
      let sum = 0
      for (let row = at - width; row <= at + width; row += width)
        sum += (grey[row - 1] as number) + (grey[row] as number) + (grey[row + 1] as number)
      soft[at] = sum / 9
    }
  }
  return soft
}

/** Along one row or column: each stretch that only rises or only falls, by its length where it is a clear step. */
function collectSteps(grey: Uint8Array, from: number, by: number, count: number, widths: Uint32Array): void {
  let [start, direction] = [0, 0]
  for (let n = 1; n < count; n += 1) {
    const change = (grey[from + n * by] as number) - (grey[from + (n - 1) * by] as number)
    const now = Math.sign(change)
    if (now === direction) continue
    const height = Math.abs((grey[from + (n - 1) * by] as number) - (grey[from + start * by] as number))
    if (direction !== 0 && height >= LEAST_STEP) {
      const width = Math.min(widths.length - 1, n - 1 - start)
      widths[width] = (widths[width] as number) + 1
    }
    start = n - 1
    direction = now
  }
}
