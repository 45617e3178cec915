// Local days and times of the school's zone, and the instants they mean, daylight saving included.
import { tzOffset } from '@date-fns/tz'
import { Type } from 'typebox'
import { toInstant, toMilliseconds } from './instant.ts'
import type { Instant } from './instant.ts'

/** A day as `YYYY-MM-DD`, in the school's zone. */
export type LocalDay = string
/** A day and time as `YYYY-MM-DDTHH:mm`, in the school's zone. */
export type LocalTime = string
/** An IANA zone name such as `Europe/Lisbon`. */
export type Zone = string
/** Which side of a window a local time is on; decides which instant an ambiguous local time means. */
export type Edge = 'from' | 'until'

export const localDaySchema = Type.String({ format: 'date', description: 'A day in the zone of the school' })

export const localTimeSchema = Type.String({
  pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}$',
  description: 'A day and time in the zone of the school',
})

const DAY = 86_400_000
const MINUTE = 60_000

/**
 * Converts a local time to an instant.
 *
 * A local time that does not exist (clocks went forward over it) moves forward by the gap. An ambiguous one means the
 * earlier instant for `from` and the later for `until`, so that a window never loses an hour that its author meant to
 * give.
 *
 * @throws RangeError when the local time is not a valid date
 */
export function localToInstant(local: LocalTime, zone: Zone, edge: Edge): Instant {
  const asUtc = Date.parse(`${local}:00.000Z`)
  if (Number.isNaN(asUtc)) throw new RangeError(`no local time: ${local}`)
  const before = offsetAt(asUtc - DAY, zone)
  const after = offsetAt(asUtc + DAY, zone)
  const candidates = [...new Set([asUtc - before, asUtc - after])].sort((a, b) => a - b)
  const real = candidates.filter((at) => at + offsetAt(at, zone) === asUtc)
  // In a gap no candidate reads back as asked: the offset before the gap moves the time forward by it.
  if (real.length === 0) return toInstant(asUtc - before)
  return toInstant(edge === 'from' ? Math.min(...real) : Math.max(...real))
}

/** Returns the first instant of a local day. */
export function startOfDay(day: LocalDay, zone: Zone): Instant {
  return localToInstant(`${day}T00:00`, zone, 'from')
}

/** Returns the first instant after a local day: "until 12 December" ends at the start of the 13th. */
export function endOfDay(day: LocalDay, zone: Zone): Instant {
  return startOfDay(addDays(day, 1), zone)
}

/** Returns the local day of an instant. */
export function dayOf(instant: Instant, zone: Zone): LocalDay {
  return toLocal(instant, zone).slice(0, 10)
}

/** Converts an instant to local time, to the minute. */
export function toLocal(instant: Instant, zone: Zone): LocalTime {
  const at = toMilliseconds(instant)
  return toInstant(at + offsetAt(at, zone)).slice(0, 16)
}

/** Returns the day `count` days later, or earlier where negative. */
export function addDays(day: LocalDay, count: number): LocalDay {
  return toInstant(Date.parse(`${day}T00:00:00.000Z`) + count * DAY).slice(0, 10)
}

function offsetAt(milliseconds: number, zone: Zone): number {
  return tzOffset(zone, new Date(milliseconds)) * MINUTE
}

/** Returns the Monday on or before a day. */
export function mondayOf(day: LocalDay): LocalDay {
  const weekday = new Date(`${day}T00:00:00Z`).getUTCDay()
  return addDays(day, -((weekday + 6) % 7))
}
