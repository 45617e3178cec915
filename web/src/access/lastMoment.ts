// Ends of windows are the first moment after; people name the last day that is still in.
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'

/** Returns the last minute before an end. */
export function lastMoment(until: Instant): Instant {
  return addMinutes(until, -1)
}
