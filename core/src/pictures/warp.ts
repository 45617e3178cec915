// Moves a picture's pixels along a projective map, with two-way linear interpolation, a band of rows at a time.
import type { Matrix } from './matrix.ts'
import { makeRaster, pixelsOf, type Raster, type Size } from './raster.ts'
import type { Work } from './work.ts'

const ROWS_AT_ONCE = 64

/**
 * Warps a picture to `size`: each pixel is sampled where `toSource` leads in `source` (inverse mapping).
 *
 * Coordinates are those of edges: the centre of the first pixel is at 0.5, 0.5. Beyond the edge of the source its
 * outermost pixels repeat. Weights have 8 bits; a 32-bit pixel is interpolated two channels at a time.
 */
export function* warp(source: Raster, size: Size, toSource: Matrix): Work<Raster> {
  const result = makeRaster(size)
  const [from, to] = [pixelsOf(source), pixelsOf(result)]
  for (let row = 0; row < size.height; row += ROWS_AT_ONCE) {
    const end = Math.min(size.height, row + ROWS_AT_ONCE)
    warpRows({ from, to, source, width: size.width, toSource }, row, end)
    yield end / size.height
  }
  return result
}

interface Rows {
  readonly from: Uint32Array
  readonly to: Uint32Array
  readonly source: Size
  readonly width: number
  readonly toSource: Matrix
}

/** The inner loop: longer than others, since each call out of it would be made 12 million times. */
function warpRows({ from, to, source, width, toSource }: Rows, first: number, end: number): void {
  const [a, b, c, d, e, f, g, h, i] = toSource
  const [sourceWidth, maxX, maxY] = [source.width, source.width - 1, source.height - 1]
  let at = first * width
  for (let row = first; row < end; row += 1) {
    const y = row + 0.5
    let up = a * 0.5 + b * y + c
    let across = d * 0.5 + e * y + f
    let weight = g * 0.5 + h * y + i
    for (let column = 0; column < width; column += 1, at += 1) {
      // In 1/256 of a pixel, from the middle of the first one.
      const scale = 256 / weight
      const sx = up * scale - 127.5
      const sy = across * scale - 127.5
      up += a
      across += d
      weight += g
      const fixedX = sx > 0 ? (sx < maxX * 256 ? sx | 0 : maxX * 256) : 0
      const fixedY = sy > 0 ? (sy < maxY * 256 ? sy | 0 : maxY * 256) : 0
      const x0 = fixedX >> 8
      const y0 = fixedY >> 8
      const fx = fixedX & 255
      const fy = fixedY & 255
      const start = y0 * sourceWidth + x0
      const right = x0 < maxX ? 1 : 0
      const below = y0 < maxY ? sourceWidth : 0
      const p = from[start] as number // inside by the clamps above
      const q = from[start + right] as number
      const r = from[start + below] as number
      const s = from[start + below + right] as number
      const w3 = (fx * fy + 128) >> 8
      const w1 = fx - w3
      const w2 = fy - w3
      const w0 = 256 - fx - w2
      let even = (0x800080 + Math.imul(p & 0xff00ff, w0)) | 0
      even = (even + Math.imul(q & 0xff00ff, w1)) | 0
      even = (even + Math.imul(r & 0xff00ff, w2)) | 0
      even = (even + Math.imul(s & 0xff00ff, w3)) | 0
      let odd = (0x800080 + Math.imul((p >>> 8) & 0xff00ff, w0)) | 0
      odd = (odd + Math.imul((q >>> 8) & 0xff00ff, w1)) | 0
      odd = (odd + Math.imul((r >>> 8) & 0xff00ff, w2)) | 0
      odd = (odd + Math.imul((s >>> 8) & 0xff00ff, w3)) | 0
      to[at] = ((even >>> 8) & 0xff00ff) | (odd & 0xff00ff00)
    }
  }
}
