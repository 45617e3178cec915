// How long the bin keeps what was put there.
import { addMinutes } from '../time/index.ts'
import type { Instant } from '../time/index.ts'
import { BIN_KEPT_DAYS } from './valueLists.ts'

/** The moment from which a thing in the bin may be removed for good. */
export function binEndsAt(binnedAt: Instant): Instant {
  return addMinutes(binnedAt, BIN_KEPT_DAYS * 24 * 60)
}
