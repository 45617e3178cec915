// Conceals parts of a picture so that nothing of what was there can be told from what is there now.
import { mapPoint, type Matrix } from './matrix.ts'
import { pixelsOf, type Raster, type Size } from './raster.ts'
import type { ConcealedPart } from './schema.ts'

/** The colour of a cover: dark ink, in the byte order of a pixel (opacity, blue, green, red). */
const COVER = 0xff332b1c
/** How many squares a concealed part has along its shorter side. */
const SQUARES = 4
/** How far about a part its surroundings reach, as a part of its size. */
const ABOUT = 0.5
/** How much a square's light may differ from that of the surroundings. */
const SPREAD = 70

/** The corners of a round end of a brush stroke. */
const ROUND = 16

/**
 * Paints over the parts, in place. What is painted is solid, or squares whose colours come from the seed and from the
 * pixels about the part, never from those under it: a mean of a name could be found by trying names.
 *
 * @param toRaster where a pixel of the original, in which parts are measured, lies in `raster`
 * @param more how many pixels of `raster` are painted beyond the parts on every side; half a one at least, so that no
 *   pixel keeps a share of what lies at the edge
 */
export function conceal(
  raster: Raster,
  parts: readonly ConcealedPart[],
  toRaster: Matrix,
  more = 0.5,
): Raster {
  const areas = parts.map((part) => areaOf(part, toRaster, more))
  // The surroundings of all parts are taken before the first is painted, and none of them looks under another.
  const hidden = new Uint8Array(raster.width * raster.height)
  for (const area of areas) forEachInside(raster, area, (at) => (hidden[at] = 1))
  const fills = parts.map((part, n) => fillOf(raster, part, boundsOf(areas[n] as Area), hidden)) // an area for each
  const pixels = pixelsOf(raster)
  areas.forEach((area, n) => {
    const colourAt = fills[n] ?? (() => COVER)
    forEachInside(raster, area, (at, x, y) => (pixels[at] = colourAt(x, y)))
  })
  return raster
}

type Corner = readonly [number, number]
type ColourAt = (x: number, y: number) => number

/** What one part covers: closed outlines, of which each is filled by itself. */
interface Area {
  readonly outlines: readonly (readonly Corner[])[]
  readonly more: number
}

function areaOf({ corners, radius }: ConcealedPart, toRaster: Matrix, more: number): Area {
  const outlines = radius === 0 ? [corners] : strokeOutlines(corners, radius)
  const mapped = outlines.map((outline) =>
    outline.map(([x, y]): Corner => {
      const point = mapPoint(toRaster, { x, y })
      return [point.x, point.y]
    }),
  )
  return { outlines: mapped, more }
}

/** A brush stroke as a round about each point, and a band from each to the next. */
function strokeOutlines(line: readonly Corner[], radius: number): Corner[][] {
  const rounds = line.map(([x, y]) =>
    Array.from({ length: ROUND }, (_, n): Corner => {
      const angle = (n / ROUND) * 2 * Math.PI
      return [x + radius * Math.cos(angle), y + radius * Math.sin(angle)]
    }),
  )
  const bands = line.slice(1).map(([x, y], n): Corner[] => {
    const [fromX, fromY] = line[n] as Corner // the one before
    const length = Math.hypot(x - fromX, y - fromY) || 1
    const [across, down] = [(-(y - fromY) / length) * radius, ((x - fromX) / length) * radius]
    return [
      [fromX + across, fromY + down],
      [x + across, y + down],
      [x - across, y - down],
      [fromX - across, fromY - down],
    ]
  })
  return [...rounds, ...bands]
}

function fillOf(raster: Raster, part: ConcealedPart, bounds: Bounds, hidden: Uint8Array): ColourAt {
  if (part.fill === 'cover') return () => COVER
  const side = Math.max(1, Math.min(bounds.right - bounds.left, bounds.bottom - bounds.top) / SQUARES)
  const [red, green, blue] = meanAbout(raster, bounds, hidden)
  return (x, y) => {
    const square = Math.floor((x - bounds.left) / side) + 4096 * Math.floor((y - bounds.top) / side)
    const lighter = (mixed(part.seed, square) / 0xffffffff - 0.6) * SPREAD
    return 0xff000000 | (byte(blue + lighter) << 16) | (byte(green + lighter) << 8) | byte(red + lighter)
  }
}

/** The mean colour of a band about the part, without what any part hides; mid grey where nothing is left. */
function meanAbout(
  raster: Raster,
  { left, top, right, bottom }: Bounds,
  hidden: Uint8Array,
): [number, number, number] {
  const reach = Math.max(2, Math.min(right - left, bottom - top) * ABOUT)
  const { data, width, height } = raster
  let [red, green, blue, count] = [0, 0, 0, 0]
  for (let y = Math.max(0, Math.floor(top - reach)); y < Math.min(height, bottom + reach); y += 1) {
    for (let x = Math.max(0, Math.floor(left - reach)); x < Math.min(width, right + reach); x += 1) {
      const at = y * width + x
      if (hidden[at] === 1) continue
      red += data[at * 4] as number
      green += data[at * 4 + 1] as number
      blue += data[at * 4 + 2] as number
      count += 1
    }
  }
  return count === 0 ? [128, 128, 128] : [red / count, green / count, blue / count]
}

/** Every pixel that an area touches, row by row, each outline by the even-odd rule; some more than once. */
function forEachInside(
  { width, height }: Size,
  { outlines, more }: Area,
  visit: (at: number, x: number, y: number) => void,
): void {
  for (const outline of outlines) {
    const { top, bottom } = boundsOf({ outlines: [outline], more })
    for (let y = Math.max(0, Math.floor(top)); y < Math.min(height, Math.ceil(bottom)); y += 1) {
      for (const [from, to] of stretchesIn(outline, y, more)) {
        const end = Math.min(width, Math.ceil(to + more))
        for (let x = Math.max(0, Math.floor(from - more)); x < end; x += 1) visit(y * width + x, x, y)
      }
    }
  }
}

/** Where a row, and what lies `more` above and below it, is inside the outline: by lines through it at each half pixel. */
function stretchesIn(corners: readonly Corner[], y: number, more: number): [number, number][] {
  const levels = Array.from({ length: Math.ceil((1 + 2 * more) * 2) + 1 }, (_, n) => y - more + n / 2)
  return levels.flatMap((level) => {
    const crossings = corners
      .map((corner, n) => crossingOf(corner, corners[(n + 1) % corners.length] ?? corner, level))
      .filter((x) => x !== null)
      .sort((a, b) => a - b)
    return Array.from({ length: crossings.length >> 1 }, (_, n): [number, number] => [
      crossings[n * 2] ?? 0,
      crossings[n * 2 + 1] ?? 0,
    ])
  })
}

function crossingOf([ax, ay]: Corner, [bx, by]: Corner, y: number): number | null {
  if (ay <= y === by <= y) return null
  return ax + ((y - ay) * (bx - ax)) / (by - ay)
}

interface Bounds {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

function boundsOf({ outlines, more }: Area): Bounds {
  const [xs, ys] = [
    outlines.flatMap((outline) => outline.map(([x]) => x)),
    outlines.flatMap((outline) => outline.map(([, y]) => y)),
  ]
  return {
    left: Math.min(...xs) - more,
    right: Math.max(...xs) + more,
    top: Math.min(...ys) - more,
    bottom: Math.max(...ys) + more,
  }
}

/** A number that looks like chance, made from two (the mixing of MurmurHash3, A. Appleby, 2011). */
function mixed(seed: number, value: number): number {
  let hash = seed ^ Math.imul(value + 1, 0x9e3779b1)
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b)
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35)
  return (hash ^ (hash >>> 16)) >>> 0
}

function byte(value: number): number {
  return Math.round(Math.min(255, Math.max(0, value)))
}
