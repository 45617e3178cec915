// Straight lines in a picture: edges vote for the lines that they may lie on, and the lines with most votes stand.
import type { Edges } from './edges.ts'

/** All points with `x cos + y sin = distance`; the angle of the normal is from 0 up to 180 degrees. */
export interface Line {
  readonly angle: number
  readonly cosine: number
  readonly sine: number
  readonly distance: number
  readonly votes: number
}

const ANGLES = 180
const SPREAD = 2
const PER_PIXEL = 0.75
/** Lines nearer to each other than this are one. */
const [NEAR_ANGLE, NEAR_DISTANCE] = [3, 4]

/**
 * Finds the lines that contain the most edge pixels, most votes first.
 *
 * The transform of P. Hough in the form of R. Duda and P. Hart (1972); each pixel votes only for directions near that
 * of its own gradient (F. O'Gorman and M. Clowes, 1976).
 */
export function findLines(edges: Edges, threshold: number, most: number): Line[] {
  const { width, height, across, down, strength } = edges
  const reach = Math.hypot(width, height)
  const places = Math.ceil(2 * reach * PER_PIXEL) + 1
  const votes = new Float32Array(ANGLES * places)
  const [cosines, sines] = tables()
  const enough = threshold * 3
  for (let y = 1; y < height - 1; y += 1) {
    for (let x = 1, at = y * width + 1; x < width - 1; x += 1, at += 1) {
      const size = strength[at] as number
      if (size < threshold || !isCrest(edges, at)) continue
      const angle = Math.atan2(down[at] as number, across[at] as number) * (180 / Math.PI)
      const middle = Math.round(angle) + 360
      // A strong edge counts for more, but no edge for more than three weak ones.
      const vote = Math.min(size, enough)
      for (let near = middle - SPREAD; near <= middle + SPREAD; near += 1) {
        const degrees = near % 180
        const distance = x * (cosines[degrees] as number) + y * (sines[degrees] as number)
        const cell = degrees * places + Math.round((distance + reach) * PER_PIXEL)
        votes[cell] = (votes[cell] as number) + vote
      }
    }
  }
  return crests(votes, places, most).map(({ degrees, place, count }) => ({
    angle: degrees,
    cosine: cosines[degrees] as number,
    sine: sines[degrees] as number,
    distance: place / PER_PIXEL - reach,
    votes: count,
  }))
}

/** Whether the edge is strongest here along its own direction (thinning, J. Canny, 1986). */
function isCrest({ width, across, down, strength }: Edges, at: number): boolean {
  const [gx, gy] = [across[at] as number, down[at] as number]
  const [ax, ay] = [Math.abs(gx), Math.abs(gy)]
  const step = ax > 2.4 * ay ? 1 : ay > 2.4 * ax ? width : gx * gy > 0 ? width + 1 : width - 1
  const size = strength[at] as number
  return size >= (strength[at - step] as number) && size > (strength[at + step] as number)
}

function crests(votes: Float32Array, places: number, most: number) {
  const cells: { degrees: number; place: number; count: number }[] = []
  const peak = votes.reduce((best, count) => Math.max(best, count), 0)
  const floor = peak * 0.06
  for (let cell = 0; cell < votes.length; cell += 1) {
    const count = votes[cell] as number
    if (count > floor) cells.push({ degrees: Math.floor(cell / places), place: cell % places, count })
  }
  cells.sort((a, b) => b.count - a.count)
  const chosen: typeof cells = []
  for (const cell of cells) {
    if (chosen.length === most) break
    if (!chosen.some((other) => isNear(cell, other, places))) chosen.push(cell)
  }
  return chosen
}

/** Directions go round: a line at 179 degrees lies beside one at 0 whose distance has the other sign. */
function isNear(
  a: { degrees: number; place: number },
  b: { degrees: number; place: number },
  places: number,
): boolean {
  const apart = Math.abs(a.degrees - b.degrees)
  if (apart <= NEAR_ANGLE) return Math.abs(a.place - b.place) <= NEAR_DISTANCE
  return apart >= ANGLES - NEAR_ANGLE && Math.abs(a.place - (places - 1 - b.place)) <= NEAR_DISTANCE
}

function tables(): [Float64Array, Float64Array] {
  const radians = (degrees: number) => (degrees * Math.PI) / 180
  return [
    Float64Array.from({ length: ANGLES }, (_, degrees) => Math.cos(radians(degrees))),
    Float64Array.from({ length: ANGLES }, (_, degrees) => Math.sin(radians(degrees))),
  ]
}
