// How long the bin keeps what was put there.
import { addMinutes } from '../time/index.ts'
import type { Instant } from '../time/index.ts'

/** How long what was put into the bin can be taken out again. */
export const BIN_KEPT_DAYS = 30

/** Returns the instant from which a binned thing may be removed for good. */
export function binEndsAt(binnedAt: Instant): Instant {
  return addMinutes(binnedAt, BIN_KEPT_DAYS * 24 * 60)
}
