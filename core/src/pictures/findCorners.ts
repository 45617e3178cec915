// Finds the sheet in a picture: edges, straight lines through them, and the best four of these.
import { type Edges, findEdges, sample } from './edges.ts'
import { findLines, type Line } from './lines.ts'
import type { Point, Quad } from './matrix.ts'
import { findQuadFault, orderCorners } from './quad.ts'
import { type Raster, shrink } from './raster.ts'
import { isLighterWithin, isPaleWithin } from './looksLikePaper.ts'
import { refineCorners } from './refineCorners.ts'

/** A detected sheet of paper, in pixels of the picture. */
export interface FoundSheet {
  readonly corners: Quad
  /** How surely, 0 to 1: how much of the outline shows as an edge, with lighter paper inside. */
  readonly sureness: number
  /** Whether a side of the sheet lies beyond the picture's edge, so that a part of it was not taken. */
  readonly runsOut: boolean
}

/** Lines are looked for in a picture of this size: smaller loses low contrast, larger finds the sheet's own lines. */
const LOOKED_AT = 360
const MOST_LINES = 60
/** Of these only so many are tried as sides: the ones with most paper on one side only. */
const MOST_SIDES = 22
/** Less of an outline than this is no sheet; where a side lies beyond the picture, the others must tell more. */
const LEAST_SURENESS = 0.74
const LEAST_SURENESS_BEYOND = 0.9
const LEAST_AREA = 0.1

/**
 * Finds the sheet of paper in a picture; `null` for none.
 *
 * Lines found at edges are paired into quadrilaterals; each is scored by how much of its outline steps from darker
 * ground to lighter paper, and by its size. The sides of the best one are then fitted in the picture itself.
 */
export function findCorners(raster: Raster): FoundSheet | null {
  const small = shrink(raster, LOOKED_AT)
  const edges = findEdges(small)
  const threshold = thresholdOf(edges)
  const lines = findLines(edges, threshold, MOST_LINES)
  const walks = lines
    .map((line) => walk(line, edges, threshold))
    .sort((a, b) => steadiness(b) - steadiness(a))
  const frame = frameLines(small).map((line) => walk(line, edges, threshold))
  const best = bestQuad(edges, [...walks.slice(0, MOST_SIDES), ...frame])
  if (!best) return null
  const runsOut = best.frameSides.some(Boolean)
  if (best.sureness < (runsOut ? LEAST_SURENESS_BEYOND : LEAST_SURENESS)) return null
  if (!isLighterWithin(edges, best)) return null
  if (runsOut && !isPaleWithin(small, best.corners)) return null
  const scale = raster.width / small.width
  const corners = best.corners.map(({ x, y }) => ({ x: x * scale, y: y * scale })) as unknown as Quad // four went in
  return {
    corners: refineCorners(raster, corners, best.frameSides),
    sureness: best.sureness,
    runsOut,
  }
}

/** Edges weaker than this are taken for grain: twice what most of the picture has. */
function thresholdOf({ strength }: Edges): number {
  const sample = strength.filter((_, at) => at % 7 === 0).sort()
  const median = sample[sample.length >> 1] ?? 0
  return Math.min(12, Math.max(2.5, median * 2.2))
}

/** A line with what lies along it: per pixel of its way whether it is a step, and to which side it is lighter. */
interface Walk {
  readonly line: Line
  readonly isFrame: boolean
  /** Running sums along the line of steps that are lighter on the normal's side, and on the other one. */
  readonly lighterOut: Float32Array
  readonly lighterIn: Float32Array
  readonly start: number
}

/** How much more of the line is lighter on one side than on the other: much for paper, little for squares and stripes. */
function steadiness({ lighterOut, lighterIn }: Walk): number {
  return Math.abs((lighterOut.at(-1) ?? 0) - (lighterIn.at(-1) ?? 0))
}

/** How far from the line its two sides are compared: beyond a ruled line's width, so that such a line is no step. */
const SIDES = [2, 3.5, 5]

function walk(line: Line & { isFrame?: boolean }, edges: Edges, threshold: number): Walk {
  const { width, height } = edges
  const reach = Math.ceil(Math.hypot(width, height))
  const [lighterOut, lighterIn] = [new Float32Array(2 * reach + 1), new Float32Array(2 * reach + 1)]
  const [px, py] = [line.cosine * line.distance, line.sine * line.distance]
  for (let n = 0; n < 2 * reach; n += 1) {
    const [x, y] = [px - line.sine * (n - reach), py + line.cosine * (n - reach)]
    const step = line.isFrame ? 0 : stepAt(edges, x, y, line, threshold)
    lighterOut[n + 1] = (lighterOut[n] as number) + Math.max(0, step)
    lighterIn[n + 1] = (lighterIn[n] as number) + Math.max(0, -step)
  }
  return { line, isFrame: line.isFrame ?? false, lighterOut, lighterIn, start: -reach }
}

/** From -1 to 1: how clearly one side of a line is lighter (or of another colour) than the other at a point. */
function stepAt(
  { width, height, channels }: Edges,
  x: number,
  y: number,
  line: Line,
  threshold: number,
): number {
  if (x < 0 || y < 0 || x >= width || y >= height) return 0
  let [strongest, light] = [0, 0]
  for (const channel of channels) {
    let difference = 0
    for (const off of SIDES) {
      const out = sample(channel, width, height, x + line.cosine * off, y + line.sine * off)
      const inside = sample(channel, width, height, x - line.cosine * off, y - line.sine * off)
      difference += (out - inside) / SIDES.length
    }
    strongest = Math.abs(difference) > Math.abs(strongest) ? difference : strongest
    light += difference
  }
  const size = Math.min(1, Math.max(0, Math.abs(strongest) / (threshold * 2.2) - 0.35))
  return light >= 0 ? size : -size
}

interface Candidate {
  readonly corners: Quad
  readonly sureness: number
  readonly score: number
  readonly frameSides: readonly boolean[]
}

function bestQuad(edges: Edges, walks: readonly Walk[]): Candidate | null {
  const pairs = opposites(edges, walks)
  let best: Candidate | null = null
  for (let one = 0; one < pairs.length; one += 1) {
    for (let other = one + 1; other < pairs.length; other += 1) {
      const [a, b] = [pairs[one] as Pair, pairs[other] as Pair]
      if (angleBetween(a[0].line, b[0].line) < 35) continue
      const candidate = judge(edges, [a[0], b[0], a[1], b[1]], best?.score ?? 0)
      if (candidate && (!best || candidate.score > best.score)) best = candidate
    }
  }
  return best
}

type Pair = readonly [Walk, Walk]

/** Two lines that could be opposite sides: in about the same direction, and far enough from each other. */
function opposites({ width, height }: Edges, walks: readonly Walk[]): Pair[] {
  const pairs: Pair[] = []
  const middle = { x: width / 2, y: height / 2 }
  walks.forEach((one, n) => {
    for (const other of walks.slice(n + 1)) {
      if (one.isFrame && other.isFrame) continue
      if (angleBetween(one.line, other.line) > 32) continue
      const apart = Math.abs(signedDistance(one.line, other.line, middle))
      if (apart > Math.min(width, height) * 0.22) pairs.push([one, other])
    }
  })
  return pairs
}

function signedDistance(one: Line, other: Line, { x, y }: Point): number {
  const first = x * one.cosine + y * one.sine - one.distance
  const second = x * other.cosine + y * other.sine - other.distance
  const facing = one.cosine * other.cosine + one.sine * other.sine >= 0 ? 1 : -1
  return first - facing * second
}

function angleBetween(one: Line, other: Line): number {
  const apart = Math.abs(one.angle - other.angle)
  return Math.min(apart, 180 - apart)
}

/** Judges the quadrilateral of four lines; `null` where it cannot be a sheet, or not one better than `least`. */
function judge(
  { width, height }: Edges,
  sides: readonly [Walk, Walk, Walk, Walk],
  least: number,
): Candidate | null {
  const corners = sides.map((side, n) => crossing(side.line, (sides[(n + 1) % 4] as Walk).line))
  const margin = 0.02 * Math.max(width, height)
  if (
    !corners.every(
      (corner) =>
        corner &&
        corner.x > -margin &&
        corner.y > -margin &&
        corner.x < width + margin &&
        corner.y < height + margin,
    )
  )
    return null
  const quad = corners as unknown as Quad // each was found
  const area = Math.abs(areaOf(quad)) / (width * height)
  if (area < LEAST_AREA) return null
  const bonus = 0.7 + 0.3 * Math.min(1, area / 0.5) ** 0.5
  if (bonus <= least) return null
  const middle = {
    x: quad.reduce((sum, { x }) => sum + x, 0) / 4,
    y: quad.reduce((sum, { y }) => sum + y, 0) / 4,
  }
  let [sum, length, weakest, beyond, rank] = [0, 0, 1, 0, bonus]
  for (let n = 0; n < 4; n += 1) {
    // The corner n lies between the sides n and n + 1, so the side n runs from the corner before to this one.
    const [from, to] = [quad[(n + 3) % 4] as Point, quad[n] as Point]
    const side = sides[n] as Walk
    if (side.isFrame) {
      rank *= FRAME_RANK
      continue
    }
    const found = along(side, from, to, middle)
    sum += found.support * found.length
    length += found.length
    weakest = Math.min(weakest, found.support)
    beyond += found.beyond
  }
  const sureness = (sum / length) * (0.75 + 0.25 * Math.min(1, weakest / 0.5)) - 0.04 * beyond
  const score = sureness * rank
  if (score <= least) return null
  const ordered = orderCorners(quad)
  if (findQuadFault(ordered)) return null
  const frameSides = ordered.map((corner, n) =>
    sides.some(
      (side) => side.isFrame && isOn(side.line, corner) && isOn(side.line, ordered[(n + 1) % 4] as Point),
    ),
  )
  return { corners: ordered, sureness, score, frameSides }
}

/** A sheet whose side is the picture's own edge comes after one that shows whole, even a less sure one. */
const FRAME_RANK = 0.75

/** How much of a side is a step to lighter paper inside (the other way counts less), and how much goes on beyond it. */
function along(
  side: Walk,
  from: Point,
  to: Point,
  middle: Point,
): { support: number; length: number; beyond: number } {
  const { line } = side
  const place = ({ x, y }: Point) => y * line.cosine - x * line.sine
  const [a, b] = [Math.min(place(from), place(to)), Math.max(place(from), place(to))]
  const length = b - a
  const isMiddleOut = middle.x * line.cosine + middle.y * line.sine > line.distance
  const [right, wrong] = isMiddleOut ? [side.lighterOut, side.lighterIn] : [side.lighterIn, side.lighterOut]
  const within = (sums: Float32Array, low: number, high: number) =>
    between(sums, low - side.start, high - side.start)
  const trim = length * 0.02
  const share = (sums: Float32Array) => within(sums, a + trim, b - trim) / Math.max(1, length - 2 * trim)
  const reach = Math.max(6, length * 0.12)
  const outside = (within(right, a - reach, a - 3) + within(right, b + 3, b + reach)) / (2 * (reach - 3))
  const [good, bad] = [share(right), share(wrong)]
  // Squares and stripes are lighter now on one side, now on the other: paper is so on one side only.
  return { support: Math.max(good - 0.6 * bad, 0.5 * (bad - 0.6 * good), 0), length, beyond: outside }
}

function between(sums: Float32Array, low: number, high: number): number {
  const inside = (at: number) => Math.round(Math.min(sums.length - 1, Math.max(0, at)))
  return Math.max(0, (sums[inside(high)] as number) - (sums[inside(low)] as number))
}

function isOn({ cosine, sine, distance }: Line, { x, y }: Point): boolean {
  return Math.abs(x * cosine + y * sine - distance) < 0.5
}

function crossing(one: Line, other: Line): Point | null {
  const determinant = one.cosine * other.sine - one.sine * other.cosine
  if (Math.abs(determinant) < 0.05) return null
  return {
    x: (one.distance * other.sine - other.distance * one.sine) / determinant,
    y: (other.distance * one.cosine - one.distance * other.cosine) / determinant,
  }
}

function areaOf([p, q, r, s]: Quad): number {
  return ((r.x - p.x) * (s.y - q.y) - (s.x - q.x) * (r.y - p.y)) / 2
}

/** The picture's own edges: where a sheet runs out of the picture, one of them stands for its side. */
function frameLines({ width, height }: { width: number; height: number }): (Line & { isFrame: true })[] {
  const line = (angle: number, distance: number) => ({
    angle,
    cosine: angle === 0 ? 1 : 0,
    sine: angle === 0 ? 0 : 1,
    distance,
    votes: 0,
    isFrame: true as const,
  })
  return [line(0, 0), line(0, width), line(90, 0), line(90, height)]
}
