// The server's clock: the real one, or one that was shifted for the demo and for tests and goes on running.
import { toInstant, toMilliseconds } from '@valise/core/time'
import type { Instant } from '@valise/core/time'

export interface Clock {
  now(): Instant
}

export const systemClock: Clock = { now: () => toInstant(Date.now()) }

/** A clock that stands at `start` when it is made and runs on from there. */
export function shiftedClock(start: Instant): Clock {
  const shift = toMilliseconds(start) - Date.now()
  return { now: () => toInstant(Date.now() + shift) }
}
