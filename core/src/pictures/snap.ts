// Snapping: a box that comes near to an edge or a middle of another, or of the board, jumps to it, and a guide shows why.
import type { Point } from './matrix.ts'
import type { Box } from './schema.ts'

/** The line that something snapped to: across the board at `at`, between the two things that it joins. */
export interface Guide {
  readonly along: 'across' | 'down'
  readonly at: number
  readonly from: number
  readonly to: number
}

export interface Snapped {
  /** How much more than was asked for the box moves. */
  readonly by: Point
  readonly guides: readonly Guide[]
}

/**
 * Snaps a box to the edges and centres of others.
 *
 * @param near the snapping distance, in units of the board
 */
export function snapBox(box: Box, others: readonly Box[], near: number): Snapped {
  const across = bestOff(
    linesOf(box, 'down'),
    others.map((other) => linesOf(other, 'down')),
    near,
  )
  const down = bestOff(
    linesOf(box, 'across'),
    others.map((other) => linesOf(other, 'across')),
    near,
  )
  const by = { x: across ?? 0, y: down ?? 0 }
  const moved = { ...box, x: box.x + by.x, y: box.y + by.y }
  return {
    by,
    guides: [
      ...(across === null ? [] : guidesOf(moved, others, 'down')),
      ...(down === null ? [] : guidesOf(moved, others, 'across')),
    ],
  }
}

/** Edges and middle of a box: of lines that run down the board their x, of those across it their y. */
function linesOf({ x, y, width, height }: Box, along: Guide['along']): readonly number[] {
  return along === 'down' ? [x, x + width / 2, x + width] : [y, y + height / 2, y + height]
}

/** The smallest way to any line of the others; null where none is near. */
function bestOff(
  own: readonly number[],
  others: readonly (readonly number[])[],
  near: number,
): number | null {
  let best: number | null = null
  for (const lines of others) {
    for (const line of lines) {
      for (const mine of own) {
        const off = line - mine
        if (Math.abs(off) <= near && (best === null || Math.abs(off) < Math.abs(best))) best = off
      }
    }
  }
  return best
}

const SAME = 0.01

function guidesOf(box: Box, others: readonly Box[], along: Guide['along']): Guide[] {
  const reach = (one: Box) =>
    (along === 'down' ? [one.y, one.y + one.height] : [one.x, one.x + one.width]) as [number, number]
  const guides = new Map<number, Guide>()
  for (const other of others) {
    for (const at of linesOf(other, along)) {
      if (!linesOf(box, along).some((own) => Math.abs(own - at) < SAME)) continue
      const before = guides.get(at)
      const ends = [...reach(box), ...reach(other), ...(before ? [before.from, before.to] : [])]
      guides.set(at, { along, at, from: Math.min(...ends), to: Math.max(...ends) })
    }
  }
  return [...guides.values()]
}
