// Maps concealed regions between the original, in which they are stored, and the views in which they are drawn.
import { MOST_CORNERS, mapPoint } from '@valise/core/pictures'
import type { ConcealedRegion, Matrix, Point } from '@valise/core/pictures'

/** Corners nearer to one line than this, in pixels, make a box. */
const STRAIGHT = 1

export function movePoints(points: readonly Point[], by: Point): Point[] {
  return points.map(({ x, y }) => ({ x: x + by.x, y: y + by.y }))
}

/** Moves a corner of a box, whose opposite corner stays; of any other shape only the corner moves. */
export function moveCorner(points: readonly Point[], corner: number, to: Point): Point[] {
  const from = points[corner]
  if (!from || !isBox(points)) return points.map((point, n) => (n === corner ? to : point))
  return points.map((point, n) => {
    if (n === corner) return to
    return {
      x: Math.abs(point.x - from.x) < STRAIGHT ? to.x : point.x,
      y: Math.abs(point.y - from.y) < STRAIGHT ? to.y : point.y,
    }
  })
}

function isBox([a, b, c, d]: readonly Point[]): boolean {
  if (!a || !b || !c || !d) return false
  const off = [a.y - b.y, b.x - c.x, c.y - d.y, d.x - a.x]
  return off.every((one) => Math.abs(one) < STRAIGHT)
}

/** Returns the four corners of the box between two points, from the top left, clockwise. */
export function boxBetween(a: Point, b: Point): Point[] {
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)]
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)]
  return [
    { x: left, y: top },
    { x: right, y: top },
    { x: right, y: bottom },
    { x: left, y: bottom },
  ]
}

/** Returns the scale of a map around a point. */
export function scaleAt(map: Matrix, { x, y }: Point): number {
  const [at, beside] = [mapPoint(map, { x, y }), mapPoint(map, { x: x + 1, y })]
  return Math.hypot(beside.x - at.x, beside.y - at.y)
}

/** Maps a concealed region of the original to another view. */
export function regionInView({ corners, radius }: ConcealedRegion, map: Matrix) {
  const points = corners.map(([x, y]) => mapPoint(map, { x, y }))
  const middle = corners[0] ?? [0, 0]
  return { points, radius: radius === 0 ? 0 : radius * scaleAt(map, { x: middle[0], y: middle[1] }) }
}

/** Maps points of a view to the corners of a region; of a longer stroke every second point is used. */
export function cornersOf(points: readonly Point[], map: Matrix, most = MOST_CORNERS): [number, number][] {
  let some = points
  while (some.length > most) some = some.filter((_, n) => n % 2 === 0)
  return some.map((point) => {
    const { x, y } = mapPoint(map, point)
    return [Math.round(x * 10) / 10, Math.round(y * 10) / 10]
  })
}

/** Returns whether a region overlaps one of the others, so that nothing is found twice. */
export function overlapsAny(region: ConcealedRegion, others: readonly ConcealedRegion[]): boolean {
  const bounds = ({ corners }: ConcealedRegion) => ({
    left: Math.min(...corners.map(([x]) => x)),
    right: Math.max(...corners.map(([x]) => x)),
    top: Math.min(...corners.map(([, y]) => y)),
    bottom: Math.max(...corners.map(([, y]) => y)),
  })
  const own = bounds(region)
  return others.map(bounds).some((other) => {
    const across = Math.min(own.right, other.right) - Math.max(own.left, other.left)
    const down = Math.min(own.bottom, other.bottom) - Math.max(own.top, other.top)
    const area = (own.right - own.left) * (own.bottom - own.top)
    return across > 0 && down > 0 && across * down > area * 0.5
  })
}
