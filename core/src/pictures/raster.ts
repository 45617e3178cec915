// A picture as plain samples: four bytes a pixel (red, green, blue, opacity), row by row from the top left.

export interface Size {
  readonly width: number
  readonly height: number
}

/** `data` holds `width * height * 4` bytes: RGBA, not premultiplied. */
export interface Raster extends Size {
  readonly data: Uint8Array | Uint8ClampedArray
}

/** The most pixels that are processed at once: 24 megapixels take 96 MB, and a step needs two such pictures. */
export const MOST_WORKED_PIXELS = 24_000_000

/** Makes a raster of transparent black. @throws RangeError when a side is not a positive whole number */
export function makeRaster({ width, height }: Size): Raster {
  if (!(Number.isInteger(width) && Number.isInteger(height) && width > 0 && height > 0)) {
    throw new RangeError(`A picture has whole sides above zero, not ${width} by ${height}`)
  }
  return { width, height, data: new Uint8ClampedArray(width * height * 4) }
}

/**
 * Returns the pixels as 32-bit numbers, red in the lowest byte; they share the raster's memory.
 *
 * @throws RangeError when the samples are not aligned to four bytes; see `alignRaster`
 */
export function pixelsOf({ data, width, height }: Raster): Uint32Array {
  return new Uint32Array(data.buffer, data.byteOffset, width * height)
}

/** Returns the raster, or a copy where its samples are not aligned to four bytes. */
export function alignRaster(raster: Raster): Raster {
  return raster.data.byteOffset % 4 === 0 ? raster : { ...raster, data: Uint8ClampedArray.from(raster.data) }
}

/** Returns the luma of each pixel, 0 to 255 (the weights of ITU-R BT.601, in 1/256). */
export function greyOf({ data, width, height }: Raster): Uint8Array {
  const grey = new Uint8Array(width * height)
  for (let at = 0, from = 0; at < grey.length; at += 1, from += 4) {
    grey[at] = (77 * (data[from] ?? 0) + 150 * (data[from + 1] ?? 0) + 29 * (data[from + 2] ?? 0)) >> 8
  }
  return grey
}

/** Returns the size with the same proportions whose longer side is at most `longest`; never enlarges. */
export function fitSize({ width, height }: Size, longest: number): Size {
  return scaleSize({ width, height }, Math.min(1, longest / Math.max(width, height)))
}

/** Returns the size with the same proportions and at most `most` pixels. */
export function fitPixels({ width, height }: Size, most = MOST_WORKED_PIXELS): Size {
  const factor = Math.min(1, Math.sqrt(most / (width * height)))
  return factor === 1
    ? { width, height }
    : { width: Math.max(1, Math.floor(width * factor)), height: Math.max(1, Math.floor(height * factor)) }
}

function scaleSize({ width, height }: Size, factor: number): Size {
  return { width: Math.max(1, Math.round(width * factor)), height: Math.max(1, Math.round(height * factor)) }
}

/** Shrinks a picture to at most `longest` on its longer side; each pixel is the mean of those that it covers. */
export function shrink(raster: Raster, longest: number): Raster {
  const size = fitSize(raster, longest)
  if (size.width === raster.width) return raster
  const small = makeRaster(size)
  const { data, width } = raster
  for (let y = 0; y < size.height; y += 1) {
    const [top, bottom] = stretchOf(y, size.height, raster.height)
    for (let x = 0; x < size.width; x += 1) {
      const [left, right] = stretchOf(x, size.width, width)
      let [red, green, blue, opacity] = [0, 0, 0, 0]
      for (let row = top; row < bottom; row += 1) {
        for (let at = (row * width + left) * 4, end = (row * width + right) * 4; at < end; at += 4) {
          red += data[at] as number
          green += data[at + 1] as number
          blue += data[at + 2] as number
          opacity += data[at + 3] as number
        }
      }
      const count = (bottom - top) * (right - left)
      small.data.set([red / count, green / count, blue / count, opacity / count], (y * size.width + x) * 4)
    }
  }
  return small
}

function stretchOf(at: number, parts: number, whole: number): [number, number] {
  const start = Math.floor((at * whole) / parts)
  return [start, Math.max(start + 1, Math.floor(((at + 1) * whole) / parts))]
}
