// Where a small picture's light or colour changes, how much, and across which direction.
import type { Raster } from './raster.ts'

/**
 * The gradient at each pixel of the channel that changes most, after a slight blur; grey tells lighter from darker.
 */
export interface Edges {
  readonly width: number
  readonly height: number
  readonly across: Float32Array
  readonly down: Float32Array
  readonly strength: Float32Array
  /** The picture's channels, blurred; each `width * height` long. */
  readonly channels: readonly Float32Array[]
}

/**
 * Applies the Sobel operator to each blurred channel (I. Sobel, G. Feldman, 1968), divided by eight: grey levels per
 * pixel.
 */
export function findEdges({ data, width, height }: Raster): Edges {
  const channels = [0, 1, 2].map((channel) => {
    const plane = new Float32Array(width * height)
    for (let at = 0; at < plane.length; at += 1) plane[at] = data[at * 4 + channel] as number
    return blur(plane, width, height)
  })
  const [across, down, strength] = [0, 1, 2].map(() => new Float32Array(width * height)) as [F, F, F]
  for (const plane of channels) sobel(plane, { width, height, across, down, strength })
  return { width, height, across, down, strength, channels }
}

type F = Float32Array

/** 1 4 6 4 1 both ways: a Gaussian of about one pixel. */
function blur(plane: F, width: number, height: number): F {
  const half = new Float32Array(plane.length)
  for (let y = 0; y < height; y += 1) {
    const row = y * width
    for (let x = 0; x < width; x += 1) {
      const [b, c, d, e] = [
        Math.max(0, x - 2),
        Math.max(0, x - 1),
        Math.min(width - 1, x + 1),
        Math.min(width - 1, x + 2),
      ]
      half[row + x] =
        ((plane[row + b] as number) +
          (plane[row + e] as number) +
          4 * ((plane[row + c] as number) + (plane[row + d] as number)) +
          6 * (plane[row + x] as number)) /
        16
    }
  }
  const whole = new Float32Array(plane.length)
  for (let y = 0; y < height; y += 1) {
    const [a, b, d, e] = [
      Math.max(0, y - 2),
      Math.max(0, y - 1),
      Math.min(height - 1, y + 1),
      Math.min(height - 1, y + 2),
    ].map((row) => row * width) as [number, number, number, number]
    for (let x = 0, row = y * width; x < width; x += 1) {
      whole[row + x] =
        ((half[a + x] as number) +
          (half[e + x] as number) +
          4 * ((half[b + x] as number) + (half[d + x] as number)) +
          6 * (half[row + x] as number)) /
        16
    }
  }
  return whole
}

function sobel(plane: F, { width, height, across, down, strength }: Omit<Edges, 'channels'>): void {
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1, at = y * width + 1; x < width - 1; x += 1, at += 1) {
      const [nw, n, ne] = [
        plane[at - width - 1] as number,
        plane[at - width] as number,
        plane[at - width + 1] as number,
      ]
      const [w, e] = [plane[at - 1] as number, plane[at + 1] as number]
      const [sw, s, se] = [
        plane[at + width - 1] as number,
        plane[at + width] as number,
        plane[at + width + 1] as number,
      ]
      const gx = (ne + 2 * e + se - nw - 2 * w - sw) / 8
      const gy = (sw + 2 * s + se - nw - 2 * n - ne) / 8
      const size = Math.hypot(gx, gy)
      if (size > (strength[at] as number)) {
        across[at] = gx
        down[at] = gy
        strength[at] = size
      }
    }
  }
}

/** Returns the value of a plane at the nearest pixel inside it. */
export function sample(plane: Float32Array, width: number, height: number, x: number, y: number): number {
  const [column, row] = [
    Math.min(width - 1, Math.max(0, Math.round(x))),
    Math.min(height - 1, Math.max(0, Math.round(y))),
  ]
  return plane[row * width + column] as number
}
