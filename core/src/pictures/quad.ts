// The four corners of a sheet: whether they can be squared up, how large they are, and what shape the sheet had.
import type { Point, Quad } from './matrix.ts'
import type { Size } from './raster.ts'

/** What is wrong with four corners: they cross, lie on a line, or are too close together. */
export type QuadFault = 'crossing' | 'in-a-line' | 'too-small'

/** Two sides that enclose less than this are a line to the eye, and would be stretched without an end. */
const LEAST_ANGLE = 8
const LEAST_SIDE = 4

/**
 * Returns why a quadrilateral cannot be squared up, or null: its corners must go around once, clockwise on the
 * screen, with room inside.
 */
export function findQuadFault(quad: Quad): QuadFault | null {
  if (sidesOf(quad).some((length) => length < LEAST_SIDE)) return 'too-small'
  const turns = quad.map((corner, n) => turnAt(at(quad, n + 3), corner, at(quad, n + 1)))
  if (turns.some((degrees) => Math.abs(degrees) < LEAST_ANGLE || 180 - Math.abs(degrees) < LEAST_ANGLE)) {
    return 'in-a-line'
  }
  return turns.every((degrees) => degrees > 0) ? null : 'crossing'
}

/** Sorts corners clockwise on the screen, starting at the top left. */
export function orderCorners(corners: Quad): Quad {
  const middle = {
    x: corners.reduce((sum, { x }) => sum + x, 0) / 4,
    y: corners.reduce((sum, { y }) => sum + y, 0) / 4,
  }
  const round = [...corners].sort(
    (a, b) => Math.atan2(a.y - middle.y, a.x - middle.x) - Math.atan2(b.y - middle.y, b.x - middle.x),
  )
  const first = round.reduce((best, { x, y }, n) => {
    const other = round[best] ?? { x, y }
    return x + y < other.x + other.y ? n : best
  }, 0)
  return [0, 1, 2, 3].map((n) => round[(first + n) % 4]) as unknown as Quad // four went in
}

/** Returns the lengths of the four sides: top, right, bottom, left. */
function sidesOf(quad: Quad): readonly [number, number, number, number] {
  const [p, q, r, s] = quad
  return [distance(p, q), distance(q, r), distance(r, s), distance(s, p)]
}

/**
 * Returns the mean distance between the corners of two quadrilaterals, as a fraction of the longer diagonal of the
 * first.
 */
export function cornerError(truth: Quad, found: Quad): number {
  const [p, q, r, s] = truth
  const sum = truth.reduce((total, corner, n) => total + distance(corner, at(found, n)), 0)
  return sum / 4 / Math.max(distance(p, r), distance(q, s))
}

/**
 * Returns width over height of the flat rectangle that a camera saw as `quad`; `middle` is the centre of the picture.
 *
 * Z. Zhang and L.-W. He, "Whiteboard scanning and image enhancement" (2007), section 3.2: the four corners give the
 * focal length and with it the proportions, for square pixels and an axis through the centre. Where the sides are
 * (almost) parallel the focal length cannot be computed and hardly matters: then the lengths of the sides are used.
 */
export function proportionsOf(quad: Quad, middle: Point): number {
  const bySides = ratioBySides(quad)
  const [m1, m2, m4, m3] = quad.map(({ x, y }) => [x - middle.x, y - middle.y, 1] as const) as [V, V, V, V]
  const k2 = dot(cross(m1, m4), m3) / dot(cross(m2, m4), m3)
  const k3 = dot(cross(m1, m4), m2) / dot(cross(m3, m4), m2)
  const n2 = minus(times(m2, k2), m1)
  const n3 = minus(times(m3, k3), m1)
  if (Math.abs(n2[2]) < 0.02 || Math.abs(n3[2]) < 0.02) return bySides
  const focal2 = -(n2[0] * n3[0] + n2[1] * n3[1]) / (n2[2] * n3[2])
  if (!(focal2 > 0)) return bySides
  const length2 = (n: V) => (n[0] ** 2 + n[1] ** 2) / focal2 + n[2] ** 2
  const ratio = Math.sqrt(length2(n2) / length2(n3))
  // Far from what the sides say, the corners are too rough to trust the method.
  return ratio > bySides * 2 || ratio < bySides / 2 || !Number.isFinite(ratio) ? bySides : ratio
}

/** Returns the size of a squared-up sheet: its longest sides keep their pixels, and its proportions are `ratio`. */
export function squaredSize(quad: Quad, ratio: number): Size {
  const [top, right, bottom, left] = sidesOf(quad)
  const [across, down] = [Math.max(top, bottom), Math.max(left, right)]
  const width = Math.max(across, down * ratio)
  return { width: Math.max(1, Math.round(width)), height: Math.max(1, Math.round(width / ratio)) }
}

type V = readonly [number, number, number]

function ratioBySides(quad: Quad): number {
  const [top, right, bottom, left] = sidesOf(quad)
  return (top + bottom) / (left + right)
}

/** How far one turns at `corner`, in degrees; above zero to the right (clockwise on the screen). */
function turnAt(before: Point, corner: Point, after: Point): number {
  const [ax, ay] = [corner.x - before.x, corner.y - before.y]
  const [bx, by] = [after.x - corner.x, after.y - corner.y]
  return (Math.atan2(ax * by - ay * bx, ax * bx + ay * by) * 180) / Math.PI
}

function at(quad: Quad, n: number): Point {
  return quad[n % 4] as Point // 0 to 3
}

function distance(a: Point, b: Point): number {
  return Math.hypot(a.x - b.x, a.y - b.y)
}

function cross(a: V, b: V): V {
  return [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]]
}

function dot(a: V, b: V): number {
  return a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
}

function times(a: V, factor: number): V {
  return [a[0] * factor, a[1] * factor, a[2] * factor]
}

function minus(a: V, b: V): V {
  return [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
}
