// Instants as text, one form everywhere, so that comparing text compares time.
import { Type } from 'typebox'

/** A moment in UTC as `YYYY-MM-DDTHH:mm:ss.sssZ`. Instants compare as strings. */
export type Instant = string

export const instantSchema = Type.String({
  pattern: '^\\d{4}-\\d{2}-\\d{2}T\\d{2}:\\d{2}:\\d{2}\\.\\d{3}Z$',
  description: 'A moment in UTC with milliseconds',
})

const MINUTE = 60_000

/** Converts milliseconds since 1970 to an instant. @throws RangeError outside the years 0 to 9999 */
export function toInstant(milliseconds: number): Instant {
  const text = new Date(milliseconds).toISOString()
  if (text.length !== 24) throw new RangeError(`no four-digit year: ${text}`)
  return text
}

/** Converts an instant to milliseconds since 1970. */
export function toMilliseconds(instant: Instant): number {
  return Date.parse(instant)
}

/** Returns the instant `minutes` later, or earlier where negative. */
export function addMinutes(instant: Instant, minutes: number): Instant {
  return toInstant(toMilliseconds(instant) + minutes * MINUTE)
}

/** Returns the minutes between two instants, with fractions. */
export function minutesBetween(from: Instant, until: Instant): number {
  return (toMilliseconds(until) - toMilliseconds(from)) / MINUTE
}

/** Returns the minute of an instant, such as `2026-11-27T16:59`. */
export function toMinute(instant: Instant): string {
  return instant.slice(0, 'YYYY-MM-DDTHH:mm'.length)
}
