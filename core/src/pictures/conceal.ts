// Conceals regions of a picture so that what was there cannot be inferred from the result.
import { mapPoint, type Matrix } from './matrix.ts'
import { pixelsOf, type Raster, type Size } from './raster.ts'
import type { ConcealedRegion } from './schema.ts'

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
 * Paints over the regions, in place: with a solid colour, or with squares whose colours come from the seed and the
 * surrounding pixels, never from the covered ones, because a mean of a name could be found by trying names.
 *
 * @param toRaster maps a pixel of the original, in which regions are measured, to `raster`
 * @param more how many pixels of `raster` are painted beyond the regions on every side; at least half a pixel, so
 *   that no pixel holds a share of what lies at the edge
 */
export function conceal(
  raster: Raster,
  parts: readonly ConcealedRegion[],
  toRaster: Matrix,
  more = 0.5,
): Raster {
  const areas = parts.map((region) => areaOf(region, toRaster, more))
  // The surroundings of all parts are taken before the first is painted, and none of them looks under another.
  const hidden = new Uint8Array(raster.width * raster.height)
  const rows = areas.map((area) => coveredRows(raster, area))
  for (const covered of rows) forEachInside(raster, covered, (at) => (hidden[at] = 1))
  const fills = parts.map((region, n) => fillOf(raster, region, boundsOf(areas[n] as Area), hidden)) // an area for each
  const pixels = pixelsOf(raster)
  rows.forEach((covered, n) => {
    const colourAt = fills[n] ?? (() => COVER)
    forEachInside(raster, covered, (at, x, y) => (pixels[at] = colourAt(x, y)))
  })
  return raster
}

type Corner = readonly [number, number]
type ColourAt = (x: number, y: number) => number

/** What one part covers: closed outlines, of which each is filled by itself. */
interface Area {
  readonly outlines: readonly (readonly Corner[])[]
  /** Whether each of them is crossed twice by a line at most. */
  readonly isConvex: boolean
  readonly more: number
}

function areaOf({ corners, radius }: ConcealedRegion, toRaster: Matrix, more: number): Area {
  const outlines = radius === 0 ? [corners] : strokeOutlines(corners, radius)
  const mapped = outlines.map((outline) =>
    outline.map(([x, y]): Corner => {
      const point = mapPoint(toRaster, { x, y })
      return [point.x, point.y]
    }),
  )
  // Rounds and bands of a brush stay convex under every map that a recipe makes.
  return { outlines: mapped, isConvex: radius > 0, more }
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

function fillOf(raster: Raster, region: ConcealedRegion, bounds: Bounds, hidden: Uint8Array): ColourAt {
  if (region.fill === 'cover') return () => COVER
  const side = Math.max(1, Math.min(bounds.right - bounds.left, bounds.bottom - bounds.top) / SQUARES)
  const [red, green, blue] = meanAbout(raster, bounds, hidden)
  return (x, y) => {
    const square = Math.floor((x - bounds.left) / side) + 4096 * Math.floor((y - bounds.top) / side)
    const lighter = (mixed(region.seed, square) / 0xffffffff - 0.6) * SPREAD
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

/** Levels lie half a pixel apart: what an outline covers between two of them is covered at both. */
const LEVELS_PER_PIXEL = 2

/** From left to right without overlap. */
type Stretches = [left: number, right: number][]

/** Visits every pixel of the rows once. */
function forEachInside(
  { width }: Size,
  rows: readonly Stretches[],
  visit: (at: number, x: number, y: number) => void,
): void {
  rows.forEach((stretches, y) => {
    for (const [left, right] of stretches) {
      const end = Math.min(width, Math.ceil(right))
      for (let x = Math.max(0, Math.floor(left)); x < end; x += 1) visit(y * width + x, x, y)
    }
  })
}

/**
 * What an area covers of each row of a picture; each outline is filled by the even-odd rule.
 *
 * A row is covered where any of the levels in it, and of those up to `more` above and below, lies within an outline.
 * Outlines are laid over each other as stretches of each level before a pixel is visited, so that the work grows with
 * the corners and with the pixels covered, however often outlines overlap.
 */
function coveredRows({ height }: Size, { outlines, isConvex, more }: Area): Stretches[] {
  const first = -more * LEVELS_PER_PIXEL
  const levels: Stretches[] = Array.from(
    { length: Math.ceil((height + 2 * more) * LEVELS_PER_PIXEL) + 1 },
    () => [],
  )
  const addOutline = isConvex ? addConvexOutline : addAnyOutline
  for (const outline of outlines) addOutline(levels, outline, first)
  const inRow = Math.ceil((1 + 2 * more) * LEVELS_PER_PIXEL)
  return Array.from({ length: height }, (_, y) => {
    const row: Stretches = []
    const from = y * LEVELS_PER_PIXEL
    for (let n = from; n <= from + inRow; n += 1)
      for (const [left, right] of levels[n] ?? []) addStretch(row, left - more, right + more)
    return row
  })
}

/** Adds what an outline covers at each level. Level `n` lies at `(first + n) / LEVELS_PER_PIXEL`. */
function addAnyOutline(levels: Stretches[], corners: readonly Corner[], first: number): void {
  const crossings = new Map<number, number[]>()
  forEachCrossing(corners, first, levels.length, (level, x) => {
    const others = crossings.get(level)
    if (others) others.push(x)
    else crossings.set(level, [x])
  })
  for (const [level, xs] of crossings) {
    xs.sort((a, b) => a - b)
    for (let n = 0; n + 1 < xs.length; n += 2) addStretch(levels[level] ?? [], xs[n] ?? 0, xs[n + 1] ?? 0)
  }
}

/** The same for an outline that each level crosses twice, of which a brush stroke has hundreds. */
function addConvexOutline(levels: Stretches[], corners: readonly Corner[], first: number): void {
  const ys = corners.map(([, y]) => y)
  const top = Math.max(0, Math.floor(Math.min(...ys) * LEVELS_PER_PIXEL) - first)
  const bottom = Math.min(levels.length, Math.ceil(Math.max(...ys) * LEVELS_PER_PIXEL) - first + 1)
  if (bottom <= top) return
  const lefts = new Float64Array(bottom - top).fill(Infinity)
  const rights = new Float64Array(bottom - top).fill(-Infinity)
  forEachCrossing(corners, first, levels.length, (level, x) => {
    const at = level - top
    lefts[at] = Math.min(lefts[at] ?? x, x)
    rights[at] = Math.max(rights[at] ?? x, x)
  })
  lefts.forEach((left, at) => {
    const right = rights[at] ?? left
    if (left <= right) addStretch(levels[top + at] ?? [], left, right)
  })
}

/** Tells where each level crosses the edges of an outline. */
function forEachCrossing(
  corners: readonly Corner[],
  first: number,
  count: number,
  visit: (level: number, x: number) => void,
): void {
  corners.forEach(([ax, ay], at) => {
    const [bx, by] = corners[(at + 1) % corners.length] ?? [ax, ay]
    const [top, bottom] = ay < by ? [ay, by] : [by, ay]
    // A level is crossed by an edge that begins at or above it and ends below it.
    const from = Math.max(first, Math.ceil(top * LEVELS_PER_PIXEL))
    const to = Math.min(first + count, Math.ceil(bottom * LEVELS_PER_PIXEL)) - 1
    for (let level = from; level <= to; level += 1) {
      const y = level / LEVELS_PER_PIXEL
      visit(level - first, ax + ((y - ay) * (bx - ax)) / (by - ay))
    }
  })
}

/** Adds a stretch, and joins it with those that it touches. Most lie within the one before, or go on from it. */
function addStretch(stretches: Stretches, left: number, right: number): void {
  let at = stretches.length
  while (at > 0 && (stretches[at - 1]?.[1] ?? 0) >= left) at -= 1
  const touched = stretches[at]
  if (!touched || touched[0] > right) {
    stretches.splice(at, 0, [left, right])
    return
  }
  touched[0] = Math.min(touched[0], left)
  touched[1] = Math.max(touched[1], right)
  let end = at + 1
  for (let next = stretches[end]; next && next[0] <= touched[1]; next = stretches[end]) {
    touched[1] = Math.max(touched[1], next[1])
    end += 1
  }
  if (end > at + 1) stretches.splice(at + 1, end - at - 1)
}

interface Bounds {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

function boundsOf({ outlines, more }: Area): Bounds {
  const bounds = { left: Infinity, right: -Infinity, top: Infinity, bottom: -Infinity }
  for (const outline of outlines) {
    for (const [x, y] of outline) {
      bounds.left = Math.min(bounds.left, x - more)
      bounds.right = Math.max(bounds.right, x + more)
      bounds.top = Math.min(bounds.top, y - more)
      bounds.bottom = Math.max(bounds.bottom, y + more)
    }
  }
  return bounds
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
