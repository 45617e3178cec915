// Strips: things side by side at one height, one under the other. Grid and time line differ in what begins a new one.
import type { EvidenceRow } from '@valise/core/evidence'
import { ratioOf } from '../base/index.ts'
import { layOutRows } from './rows.ts'
import type { RowRules } from './rows.ts'

export interface Strip {
  readonly items: readonly EvidenceRow[]
  readonly widths: readonly number[]
  /** The place of its first thing among all. */
  readonly start: number
  /** What is said beside it; null where it goes on with what the strip above says. */
  readonly heading: string | null
}

/** Fills strip after strip, in the order of the items. */
export function layOutStrips(items: readonly EvidenceRow[], rules: RowRules): Strip[] {
  return toStrips(items, rules, 0, null)
}

/** Starts a new strip with each day, under the name of the day. */
export function layOutDays(
  items: readonly EvidenceRow[],
  rules: RowRules,
  wordsOf: (item: EvidenceRow) => string,
): Strip[] {
  const strips: Strip[] = []
  for (let start = 0; start < items.length;) {
    const heading = wordsAt(items, start, wordsOf)
    let end = start + 1
    while (end < items.length && wordsAt(items, end, wordsOf) === heading) end += 1
    strips.push(...toStrips(items.slice(start, end), rules, start, heading))
    start = end
  }
  return strips
}

function wordsAt(items: readonly EvidenceRow[], at: number, wordsOf: (item: EvidenceRow) => string): string {
  const item = items[at]
  return item ? wordsOf(item) : ''
}

function toStrips(
  items: readonly EvidenceRow[],
  rules: RowRules,
  offset: number,
  heading: string | null,
): Strip[] {
  let start = 0
  return layOutRows(items.map(ratioOf), rules).map((widths, n) => {
    const strip = {
      items: items.slice(start, start + widths.length),
      widths,
      start: offset + start,
      heading: n === 0 ? heading : null,
    }
    start += widths.length
    return strip
  })
}

/** Returns the centre of an item in its strip, in pixels from the left. */
export function centreIn({ widths }: Pick<Strip, 'widths'>, place: number, gap: number): number {
  const before = widths.slice(0, place).reduce((sum, one) => sum + one + gap, 0)
  return before + (widths[place] ?? 0) / 2
}

/** Returns the item that an arrow key leads to; up and down lead to the nearest one in the next strip. */
export function arrowTarget(key: string, at: number, strips: readonly Strip[], gap: number): number | null {
  const count = strips.reduce((sum, { items }) => sum + items.length, 0)
  const own = strips.findLastIndex(({ start }) => start <= at)
  const into = (n: number) => {
    const strip = strips[n]
    const from = strips[own]
    if (!strip || !from) return null
    const centre = centreIn(from, at - from.start, gap)
    const distances = strip.widths.map((_, place) => Math.abs(centreIn(strip, place, gap) - centre))
    return strip.start + distances.indexOf(Math.min(...distances))
  }
  switch (key) {
    case 'ArrowRight':
      return Math.min(count - 1, at + 1)
    case 'ArrowLeft':
      return Math.max(0, at - 1)
    case 'ArrowDown':
      return into(own + 1)
    case 'ArrowUp':
      return into(own - 1)
    case 'Home':
      return 0
    case 'End':
      return count - 1
    default:
      return null
  }
}
