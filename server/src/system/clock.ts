// The server's clock: the real one, or one that was shifted for the demo and for tests and goes on running.
import { toInstant, toMilliseconds } from '@valise/core/time'
import type { Instant } from '@valise/core/time'

export interface Clock {
  now(): Instant
}

/** Machines put their clocks right by steps of some milliseconds, also backwards. */
const SMALL_STEP_MS = 5000

/**
 * Wraps a clock so that it does not go back by small steps: what was saved now is not in the future a moment later. A
 * larger step back corrects a wrong clock and is followed.
 */
export function withoutSmallStepsBack(read: () => number): () => number {
  let latest = -Infinity
  return () => {
    const present = read()
    const isSmallStep = present < latest && latest - present <= SMALL_STEP_MS
    latest = isSmallStep ? latest : present
    return latest
  }
}

const milliseconds = withoutSmallStepsBack(Date.now)

export const systemClock: Clock = { now: () => toInstant(milliseconds()) }

/** Makes a clock that starts at `start` and runs on from there. */
export function shiftedClock(start: Instant): Clock {
  const shift = toMilliseconds(start) - milliseconds()
  return { now: () => toInstant(milliseconds() + shift) }
}
