// The time of the server as this device knows it: what it said last, and how long ago that was. A device with a wrong
// clock, or without a connection, tells all the same when something was written.
import { toInstant, toMilliseconds } from '@valise/core/time'
import type { Instant } from '@valise/core/time'

let aheadMs: number | null = null

export function noteServerTime(said: Instant | null): void {
  // The clock of the device, since a stopwatch stands still while it sleeps.
  if (said !== null) aheadMs = toMilliseconds(said) - Date.now()
}

/** Returns the time of the server; null until it said one. */
export function serverTime(): Instant | null {
  return aheadMs === null ? null : toInstant(Date.now() + aheadMs)
}
