// What a row of the passes says: what it lets people do, and from when until when.
import { endOf } from '@valise/core/access'
import type { AccessRight } from '@valise/core/access'
import type { Instant, TimeWindow } from '@valise/core/time'

export function rightsOf(row: { readonly mayComment: number; readonly mayCopy: number }): AccessRight[] {
  return ['look', ...(row.mayComment ? ['comment' as const] : []), ...(row.mayCopy ? ['copy' as const] : [])]
}

export interface PassTimes {
  readonly fromAt: Instant
  readonly untilAt: Instant | null
  readonly endedAt: Instant | null
}

/** Returns the window of a pass, cut off where its giver stopped it. */
export function windowOf({ fromAt, untilAt, endedAt }: PassTimes): TimeWindow {
  return { from: fromAt, until: endOf({ until: untilAt, endedAt }) }
}
