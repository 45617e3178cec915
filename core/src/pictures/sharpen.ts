// Sharper edges: an unsharp mask on how light the pixels are, so that colours do not fringe.
import { greyOf, type Raster } from './raster.ts'
import type { Work } from './work.ts'

const ROWS_AT_ONCE = 64

/**
 * Sharpens in place: adds a fraction of the difference to the local mean (3 by 3, weights 1 2 1).
 *
 * @param sharpness 0 to 100; at 100 the difference is added one and a half times
 */
export function* sharpen(raster: Raster, sharpness: number): Work<Raster> {
  const { data, width, height } = raster
  const grey = greyOf(raster)
  const factor = (sharpness / 100) * 1.5
  for (let start = 0; start < height; start += ROWS_AT_ONCE) {
    const end = Math.min(height, start + ROWS_AT_ONCE)
    for (let y = start; y < end; y += 1) {
      const row = y * width
      const above = Math.max(0, y - 1) * width
      const below = Math.min(height - 1, y + 1) * width
      for (let x = 0; x < width; x += 1) {
        const left = x > 0 ? x - 1 : 0
        const right = x < width - 1 ? x + 1 : x
        const mean =
          (sideOf(grey, above, left, x, right) +
            2 * sideOf(grey, row, left, x, right) +
            sideOf(grey, below, left, x, right)) /
          16
        const more = factor * ((grey[row + x] as number) - mean)
        for (let at = (row + x) * 4, last = at + 3; at < last; at += 1) {
          const value = (data[at] as number) + more
          data[at] = value < 0 ? 0 : value > 255 ? 255 : value
        }
      }
    }
    yield end / height
  }
  return raster
}

function sideOf(grey: Uint8Array, row: number, left: number, x: number, right: number): number {
  return (grey[row + left] as number) + 2 * (grey[row + x] as number) + (grey[row + right] as number)
}
