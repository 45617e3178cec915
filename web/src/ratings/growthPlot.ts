// The figures of a plot of growth: where its lines, their names and the days below them stand.
import type { GrowthLine } from '@valise/core/ratings'
import type { LocalDay } from '@valise/core/time'

/** By how much of a step lines lie apart that would cover each other. */
const APART = 0.07

export interface PlottedLine {
  readonly name: string
  /** The place of the line among all lines of the set, which tells its mark. */
  readonly n: number
  readonly line: GrowthLine
}

/** Returns how far a line is moved up, so that lines on one step can be told apart. */
export function liftOf(n: number, count: number): number {
  return (n - (count - 1) / 2) * APART
}

/**
 * Moves heights apart that are nearer to each other than `least`, as little as that takes, in their order.
 *
 * @returns the heights in the order in which they were given
 */
export function spread(heights: readonly number[], least: number): number[] {
  const order = heights.map((_, n) => n).sort((a, b) => (heights[a] ?? 0) - (heights[b] ?? 0) || a - b)
  // Neighbours that would touch become one group, which stands around the middle of its members.
  let groups: { members: number[]; middle: number }[] = []
  for (const n of order) {
    let group = { members: [n], middle: heights[n] ?? 0 }
    for (let below = groups.at(-1); below && topOf(below, least) + least > bottomOf(group, least);) {
      const members = [...below.members, ...group.members]
      group = { members, middle: members.reduce((sum, one) => sum + (heights[one] ?? 0), 0) / members.length }
      groups = groups.slice(0, -1)
      below = groups.at(-1)
    }
    groups = [...groups, group]
  }
  const moved = [...heights]
  for (const group of groups)
    for (const [at, n] of group.members.entries()) moved[n] = bottomOf(group, least) + at * least
  return moved
}

interface Group {
  readonly members: readonly number[]
  readonly middle: number
}

function bottomOf({ members, middle }: Group, least: number): number {
  return middle - ((members.length - 1) * least) / 2
}

function topOf(group: Group, least: number): number {
  return bottomOf(group, least) + (group.members.length - 1) * least
}

const DAY_MS = 86_400_000
/** The part of the time that is left free before the first and after the last day. */
const FREE = 0.05

/** Returns the first and the last moment of a plot, with all its days between them. */
export function aroundDays(days: readonly LocalDay[]): [from: string, until: string] {
  const moments = days.map((day) => Date.parse(day))
  const [first, last] = [Math.min(...moments), Math.max(...moments)]
  const free = Math.max((last - first) * FREE, 2 * DAY_MS)
  return [new Date(first - free).toISOString(), new Date(last + free).toISOString()]
}

/** Returns the days that are named below a plot: the days themselves where they are few, else the first days of months. */
export function tickDays(days: readonly LocalDay[], most: number): LocalDay[] {
  const unique = [...new Set(days)].sort()
  const [first] = unique
  const last = unique.at(-1)
  if (first === undefined || last === undefined) return []
  const months = monthsBetween(first, last)
  if (months.length < 3) return everyNth(unique, most)
  return everyNth(months, most)
}

function everyNth(days: readonly LocalDay[], most: number): LocalDay[] {
  const step = Math.ceil(days.length / most)
  return days.filter((_, n) => n % step === 0)
}

/** The first days of the months from the one after `first` to that of `last`. */
function monthsBetween(first: LocalDay, last: LocalDay): LocalDay[] {
  const [year = 0, month = 1] = first.split('-').map(Number)
  const days: LocalDay[] = []
  for (let n = month + 1; ; n++) {
    const at = new Date(Date.UTC(year, n - 1, 1)).toISOString().slice(0, 10)
    if (at > last) return days
    days.push(at)
  }
}
