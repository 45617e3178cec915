// Rasters for tests: smooth ones, ones like writing, and how far two of them are from each other.
import { greyOf, makeRaster, type Raster } from '../raster.ts'
import { noiseFrom, randomFrom } from './random.ts'

/** Makes a picture whose light changes slowly. */
export function smoothRaster(width: number, height: number, seed = 1): Raster {
  const noise = noiseFrom(seed)
  return paint(width, height, (x, y) => {
    const light = 128 + 80 * noise(x / 60, y / 60)
    return [light, light * 0.9 + 10, 255 - light]
  })
}

/** Makes a picture of dark strokes on light paper, some two pixels wide. */
export function inkRaster(width: number, height: number, seed = 1): Raster {
  const random = randomFrom(seed)
  const raster = paint(width, height, () => [245, 243, 238])
  for (let row = 14; row < height - 8; row += 20) {
    for (let x = 8; x < width - 10; x += 5 + Math.floor(random() * 4)) {
      const tall = 4 + Math.floor(random() * 8)
      for (let y = row - tall; y < row; y += 1)
        for (let at = x; at < x + 2; at += 1) raster.data.set([40, 42, 60], (y * width + at) * 4)
    }
  }
  return raster
}

export function paint(
  width: number,
  height: number,
  at: (x: number, y: number) => readonly number[],
): Raster {
  const raster = makeRaster({ width, height })
  for (let y = 0; y < height; y += 1)
    for (let x = 0; x < width; x += 1) raster.data.set([...at(x, y), 255], (y * width + x) * 4)
  return raster
}

export function copyOf(raster: Raster): Raster {
  return { ...raster, data: Uint8ClampedArray.from(raster.data) }
}

/** Returns whether two rasters are equal; faster than comparing with a matcher. */
export function isSame(one: Raster, other: Raster): boolean {
  return one.width === other.width && one.data.every((value, at) => value === other.data[at])
}

/** Returns the root mean squared difference in grey levels, without `margin` pixels at the edges. */
export function rmsBetween(one: Raster, other: Raster, margin = 0): number {
  let [sum, count] = [0, 0]
  for (let y = margin; y < one.height - margin; y += 1) {
    for (let at = (y * one.width + margin) * 4; at < (y * one.width + one.width - margin) * 4; at += 1) {
      sum += ((one.data[at] ?? 0) - (other.data[at] ?? 0)) ** 2
      count += 1
    }
  }
  return Math.sqrt(sum / count)
}

/** Returns the mean structural similarity over windows of 8 by 8 (Z. Wang and others, 2004); 1 for equal pictures. */
export function similarity(one: Raster, other: Raster, margin: number): number {
  const [a, b] = [greyOf(one), greyOf(other)]
  const [c1, c2, size] = [(0.01 * 255) ** 2, (0.03 * 255) ** 2, 8]
  let [total, windows] = [0, 0]
  for (let top = margin; top + size <= one.height - margin; top += 4) {
    for (let left = margin; left + size <= one.width - margin; left += 4) {
      let [sumA, sumB, squares, squaresB, products] = [0, 0, 0, 0, 0]
      for (let y = top; y < top + size; y += 1) {
        for (let x = left; x < left + size; x += 1) {
          const [p, q] = [a[y * one.width + x] ?? 0, b[y * one.width + x] ?? 0]
          sumA += p
          sumB += q
          squares += p * p
          squaresB += q * q
          products += p * q
        }
      }
      const n = size * size
      const [meanA, meanB] = [sumA / n, sumB / n]
      const [varA, varB, both] = [
        squares / n - meanA ** 2,
        squaresB / n - meanB ** 2,
        products / n - meanA * meanB,
      ]
      total +=
        ((2 * meanA * meanB + c1) * (2 * both + c2)) / ((meanA ** 2 + meanB ** 2 + c1) * (varA + varB + c2))
      windows += 1
    }
  }
  return total / windows
}
