// Corners to a part of a pixel: each side is fitted through the steepest places across it, in the picture itself.
import type { Point, Quad } from './matrix.ts'
import { findQuadFault } from './quad.ts'
import type { Raster } from './raster.ts'

const PLACES = 72
/** Searched to each side, as a part of the picture's longer side. */
const REACH = 0.009
/** Of the places along a side at least this part must agree, or the side stays as it was. */
const LEAST_AGREEING = 0.3

/**
 * Refines corners, or returns them unchanged where the picture gives no hint; sides on the picture's edge stay there.
 */
export function refineCorners(raster: Raster, corners: Quad, frameSides: readonly boolean[]): Quad {
  let refined = corners
  for (const reach of [REACH, REACH * 0.6]) refined = refineOnce(raster, refined, frameSides, reach)
  return refined
}

function refineOnce(raster: Raster, corners: Quad, frameSides: readonly boolean[], reach: number): Quad {
  const sides = corners.map((from, n) => {
    const to = corners[(n + 1) % 4] as Point
    return frameSides[n]
      ? lineThrough(from, to)
      : fitSide(raster, from, to, reach * Math.max(raster.width, raster.height))
  })
  const moved = corners.map(
    (corner, n) => cross(sides[(n + 3) % 4] as Fit, sides[n] as Fit) ?? corner,
  ) as unknown as Quad
  const most = reach * 3 * Math.max(raster.width, raster.height)
  const isTame = moved.every(
    ({ x, y }, n) => Math.hypot(x - (corners[n] as Point).x, y - (corners[n] as Point).y) < most,
  )
  return isTame && !findQuadFault(moved) ? moved : corners
}

/** A line as a point and a direction of length one. */
interface Fit {
  readonly x: number
  readonly y: number
  readonly dx: number
  readonly dy: number
}

function lineThrough(from: Point, to: Point): Fit {
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  return { ...from, dx: (to.x - from.x) / length, dy: (to.y - from.y) / length }
}

/** The line through the steepest steps to lighter paper inside (to the right of the way from corner to corner). */
function fitSide(raster: Raster, from: Point, to: Point, reach: number): Fit {
  const rough = lineThrough(from, to)
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const found: { along: number; off: number; weight: number }[] = []
  for (let n = 0; n < PLACES; n += 1) {
    const along = length * (0.03 + (0.94 * (n + 0.5)) / PLACES)
    const step = steepest(
      raster,
      { x: rough.x + rough.dx * along, y: rough.y + rough.dy * along },
      rough,
      reach,
    )
    if (step) found.push({ along, ...step })
  }
  const fit = fitRobustly(found, reach)
  if (!fit) return rough
  const [start, end] = [fit.off, fit.off + fit.slope * length]
  return lineThrough(
    { x: from.x - rough.dy * start, y: from.y + rough.dx * start },
    { x: to.x - rough.dy * end, y: to.y + rough.dx * end },
  )
}

/** The steepest step across a side at one place: how far off the rough line, and how steep. */
function steepest(
  raster: Raster,
  { x, y }: Point,
  { dx, dy }: Fit,
  reach: number,
): { off: number; weight: number } | null {
  const count = Math.max(5, Math.ceil(reach))
  const profile: number[] = []
  // Each value is a mean of three along the side, so that grain counts less.
  for (let n = -count - 2; n <= count + 2; n += 1) {
    let sum = 0
    for (const shift of [-1.5, 0, 1.5])
      sum += lightAt(raster, x - dy * n + dx * shift, y + dx * n + dy * shift)
    profile.push(sum / 3)
  }
  let best = { at: 0, size: 0 }
  const rise = (at: number) =>
    ((profile[at + 1] ?? 0) + (profile[at + 2] ?? 0) - (profile[at - 1] ?? 0) - (profile[at - 2] ?? 0)) / 2
  for (let at = 2; at < profile.length - 2; at += 1) {
    // Lighter inside is what a sheet has; a darker inside is believed at half its size.
    const size = rise(at) > 0 ? rise(at) : -rise(at) / 2
    if (size > best.size) best = { at, size }
  }
  if (best.size < 3) return null
  const value = (at: number) => Math.abs(rise(at))
  const [a, b, c] = [value(best.at - 1), value(best.at), value(best.at + 1)]
  const curve = a - 2 * b + c
  const fraction =
    curve < 0 && best.at > 2 && best.at < profile.length - 3
      ? Math.min(0.5, Math.max(-0.5, (0.5 * (a - c)) / curve))
      : 0
  return { off: best.at - count - 2 + fraction, weight: Math.min(best.size, 40) }
}

function lightAt({ data, width, height }: Raster, x: number, y: number): number {
  const [px, py] = [
    Math.min(width - 1.001, Math.max(0, x - 0.5)),
    Math.min(height - 1.001, Math.max(0, y - 0.5)),
  ]
  const [left, top] = [Math.floor(px), Math.floor(py)]
  const [fx, fy] = [px - left, py - top]
  const grey = (column: number, row: number) => {
    const at = (Math.min(height - 1, row) * width + Math.min(width - 1, column)) * 4
    return ((data[at] as number) + 2 * (data[at + 1] as number) + (data[at + 2] as number)) / 4
  }
  return (
    (grey(left, top) * (1 - fx) + grey(left + 1, top) * fx) * (1 - fy) +
    (grey(left, top + 1) * (1 - fx) + grey(left + 1, top + 1) * fx) * fy
  )
}

/**
 * A line through most of the places: the one that most agree with among lines through two of them, then least squares
 * over those that agree (RANSAC, M. Fischler and R. Bolles, 1981; here every fifth pair instead of chance).
 */
function fitRobustly(found: readonly { along: number; off: number; weight: number }[], reach: number) {
  if (found.length < PLACES * LEAST_AGREEING) return null
  const near = Math.max(1, reach * 0.12)
  let best = { off: 0, slope: 0, votes: 0 }
  for (let one = 0; one < found.length; one += 3) {
    for (let other = one + 8; other < found.length; other += 3) {
      const [p, q] = [found[one] as Place, found[other] as Place]
      const slope = (q.off - p.off) / (q.along - p.along)
      const off = p.off - slope * p.along
      let votes = 0
      for (const { along, off: own, weight } of found)
        if (Math.abs(own - off - slope * along) < near) votes += weight
      if (votes > best.votes) best = { off, slope, votes }
    }
  }
  const agreeing = found.filter(({ along, off }) => Math.abs(off - best.off - best.slope * along) < near)
  return agreeing.length < PLACES * LEAST_AGREEING ? null : leastSquares(agreeing)
}

type Place = { readonly along: number; readonly off: number; readonly weight: number }

function leastSquares(places: readonly Place[]): { off: number; slope: number } {
  let [sum, x, y, xx, xy] = [0, 0, 0, 0, 0]
  for (const { along, off, weight } of places) {
    sum += weight
    x += weight * along
    y += weight * off
    xx += weight * along * along
    xy += weight * along * off
  }
  const slope = (sum * xy - x * y) / Math.max(1e-9, sum * xx - x * x)
  return { slope, off: (y - slope * x) / sum }
}

function cross(a: Fit, b: Fit): Point | null {
  const determinant = a.dx * b.dy - a.dy * b.dx
  if (Math.abs(determinant) < 0.05) return null
  const t = ((b.x - a.x) * b.dy - (b.y - a.y) * b.dx) / determinant
  return { x: a.x + a.dx * t, y: a.y + a.dy * t }
}
