// Marks that are moved: as a whole, or by one of their ends; in pixels of the original.
import type { Mark, Point } from '@valise/core/pictures'
import type { MarkTool } from './tools.ts'

type Spot = [number, number]

/** Returns whether a tool makes marks of this kind and so can move them. */
export function isOfTool({ kind }: Mark, tool: MarkTool): boolean {
  if (tool === 'write') return kind === 'text'
  return tool === 'point' ? kind === 'pin' : kind !== 'text' && kind !== 'pin'
}

export function moveMark(mark: Mark, by: Point): Mark {
  const moved = ([x, y]: readonly [number, number]): Spot => [x + by.x, y + by.y]
  if (mark.kind === 'pen') return { ...mark, points: mark.points.map(moved) }
  if (mark.kind === 'text') return { ...mark, at: moved(mark.at) }
  if (mark.kind !== 'pin') return { ...mark, from: moved(mark.from), to: moved(mark.to) }
  return { ...mark, at: moved(mark.at), region: mark.region && mark.region.map(moved) }
}

/** Moves an end of a mark. Strokes, text and pins have no ends and stay. */
export function moveMarkEnd(mark: Mark, end: 'from' | 'to', { x, y }: Point): Mark {
  return mark.kind === 'pen' || mark.kind === 'text' || mark.kind === 'pin'
    ? mark
    : { ...mark, [end]: [x, y] }
}

/** Returns the bounding box of a mark; letters are taken to be half as wide as high. */
export function boundsOfMark(
  mark: Mark,
  pin: number,
): { x: number; y: number; width: number; height: number } {
  if (mark.kind === 'text') {
    const lines = mark.words.split('\n')
    const longest = Math.max(4, ...lines.map((line) => line.length))
    return {
      x: mark.at[0],
      y: mark.at[1],
      width: longest * mark.size * 0.52,
      height: lines.length * mark.size * 1.2,
    }
  }
  if (mark.kind === 'pin')
    return { x: mark.at[0] - pin, y: mark.at[1] - pin, width: 2 * pin, height: 2 * pin }
  const spots = mark.kind === 'pen' ? mark.points : [mark.from, mark.to]
  const [xs, ys] = [spots.map(([x]) => x), spots.map(([, y]) => y)]
  const more = mark.width * 2
  const [left, top] = [Math.min(...xs) - more, Math.min(...ys) - more]
  return { x: left, y: top, width: Math.max(...xs) + more - left, height: Math.max(...ys) + more - top }
}
