// Instants as text, one form everywhere, so that comparing text compares time.
import { Type } from 'typebox'

/** A moment in UTC as `YYYY-MM-DDTHH:mm:ss.sssZ`. Two of them compare as text. */
export type Instant = string

export const instantSchema = Type.String({
  pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}\\.\\d{3}Z$',
  description: 'A moment in UTC with milliseconds',
})

const MINUTE = 60_000

/** The instant of a number of milliseconds since 1970. Throws a RangeError outside the years 0 to 9999. */
export function toInstant(milliseconds: number): Instant {
  const text = new Date(milliseconds).toISOString()
  if (text.length !== 24) throw new RangeError(`no four-digit year: ${text}`)
  return text
}

/** Milliseconds since 1970 of an instant. */
export function toMilliseconds(instant: Instant): number {
  return Date.parse(instant)
}

/** The instant that lies `minutes` later (earlier, where negative). */
export function addMinutes(instant: Instant, minutes: number): Instant {
  return toInstant(toMilliseconds(instant) + minutes * MINUTE)
}

/** Whole and part minutes from the first instant to the second. */
export function minutesBetween(from: Instant, until: Instant): number {
  return (toMilliseconds(until) - toMilliseconds(from)) / MINUTE
}
