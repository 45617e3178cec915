// Whether what lies within four lines looks like paper: lighter than its ground, and without much colour.
import { type Edges, sample } from './edges.ts'
import type { Point, Quad } from './matrix.ts'
import type { Raster } from './raster.ts'

interface Sides {
  readonly corners: Quad
  /** Which sides are the picture's own edges, beyond which nothing is seen. */
  readonly frameSides: readonly boolean[]
}

/** How far from its sides a sheet is compared with its ground: beyond a frame's width, so that a frame is no sheet. */
const BEYOND_FRAME = 16
/** So many places along the sides must be lighter within, by so much. */
const [LIGHTER_PLACES, LIGHTER_BY] = [0.55, 4]

/**
 * Returns whether the area is lighter than its surroundings well inside its edges. A frame, a wire or a window is so
 * only at the edge.
 */
export function isLighterWithin({ width, height, channels }: Edges, { corners, frameSides }: Sides): boolean {
  let [lighter, count] = [0, 0]
  const lightAt = (x: number, y: number) =>
    channels.reduce((sum, channel) => sum + sample(channel, width, height, x, y), 0) / channels.length
  corners.forEach((from, n) => {
    if (frameSides[n]) return
    const to = corners[(n + 1) % 4] as Point
    const length = Math.hypot(to.x - from.x, to.y - from.y)
    // To the right of the way round lies the inside.
    const [inX, inY] = [-(to.y - from.y) / length, (to.x - from.x) / length]
    for (let fraction = 0.08; fraction < 0.93; fraction += 0.04) {
      const [x, y] = [from.x + (to.x - from.x) * fraction, from.y + (to.y - from.y) * fraction]
      const [outX, outY] = [x - inX * BEYOND_FRAME, y - inY * BEYOND_FRAME]
      if (outX < 0 || outY < 0 || outX >= width || outY >= height) continue
      count += 1
      const within = lightAt(x + inX * BEYOND_FRAME, y + inY * BEYOND_FRAME)
      if (within > lightAt(outX, outY) + LIGHTER_BY) lighter += 1
    }
  })
  return count < 8 || lighter / count >= LIGHTER_PLACES
}

/** So many places across are looked at, of which half may have at most so much colour. */
const [PLACES_ACROSS, MOST_COLOUR] = [12, 0.3]

/**
 * Returns whether the area has little colour, as paper has under any lamp; sand or sky at the picture's edge has
 * more.
 */
export function isPaleWithin({ width, height, data }: Raster, corners: Quad): boolean {
  const [a, b, c, d] = corners
  const colours: number[] = []
  for (let row = 1; row < PLACES_ACROSS; row += 1) {
    for (let column = 1; column < PLACES_ACROSS; column += 1) {
      const [u, v] = [column / PLACES_ACROSS, row / PLACES_ACROSS]
      const x = Math.round((a.x * (1 - u) + b.x * u) * (1 - v) + (d.x * (1 - u) + c.x * u) * v)
      const y = Math.round((a.y * (1 - u) + b.y * u) * (1 - v) + (d.y * (1 - u) + c.y * u) * v)
      if (x < 0 || y < 0 || x >= width || y >= height) continue
      const at = (y * width + x) * 4
      const [red = 0, green = 0, blue = 0] = [data[at], data[at + 1], data[at + 2]]
      const most = Math.max(1, red, green, blue)
      colours.push((most - Math.min(red, green, blue)) / most)
    }
  }
  const sorted = colours.sort((one, other) => one - other)
  return (sorted[sorted.length >> 1] ?? 0) <= MOST_COLOUR
}
