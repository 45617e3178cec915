// The stretch of weeks that a query looks at, as places in the ribbon.
import type { LocalDay } from '@valise/core/time'

export interface WeekCount {
  /** Its Monday. */
  readonly week: LocalDay
  readonly count: number
}

/** The indexes of the first and the last selected week, both included. */
export interface Stretch {
  readonly first: number
  readonly last: number
}

export function chosenStretch(
  weeks: readonly WeekCount[],
  from: LocalDay | null,
  until: LocalDay | null,
): Stretch {
  const end = weeks.length - 1
  // The week that a day lies in is the last one that begins up to it.
  const placeOf = (day: LocalDay) =>
    Math.max(
      0,
      weeks.findLastIndex(({ week }) => week <= day),
    )
  const first = from === null ? 0 : placeOf(from)
  const last = until === null ? end : placeOf(until)
  return { first: Math.min(first, last), last: Math.max(first, last) }
}

/** Moves one edge; the edges meet and never cross. */
export function moveEdge({ first, last }: Stretch, edge: keyof Stretch, to: number, count: number): Stretch {
  const within = Math.max(0, Math.min(count - 1, to))
  return edge === 'first' ? { first: Math.min(within, last), last } : { first, last: Math.max(within, first) }
}

/** Returns the week at a distance from the left edge of the ribbon. */
export function weekAt(x: number, width: number, count: number): number {
  return Math.max(0, Math.min(count - 1, Math.floor((x / width) * count)))
}
