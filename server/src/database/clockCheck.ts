// Whether the clock can be believed: nothing is removed by its age while it has jumped.
import { addMinutes, minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import type { Trx } from './Database.ts'

/** Looks come every hour; a server that was off for a night has lost no time that matters. */
const LONGEST_GAP_MINUTES = 26 * 60
const DAY_MINUTES = 24 * 60
/** No rule keeps anything longer than this, so nobody has to wait longer after a jump. */
const LONGEST_WAIT_MINUTES = 30 * DAY_MINUTES
/** Clocks are put right by small steps all the time. */
const SMALL_STEP_MINUTES = 5

/**
 * Returns whether time has passed evenly enough to remove things by their age. Call it every hour.
 *
 * After a jump forwards, or a long downtime, as much time has to pass again as was jumped over, 30 days at most;
 * after a jump backwards, and at the first call, a day.
 */
export async function isClockSteady({ sql, now }: Trx): Promise<boolean> {
  const before: { checkedAt: Instant; steadyFrom: Instant } | undefined = await sql('clockChecks').first()
  const steadyFrom = before ? steadyAfter(before, now) : addMinutes(now, DAY_MINUTES)
  if (before) await sql('clockChecks').update({ checkedAt: now, steadyFrom })
  else await sql('clockChecks').insert({ id: 1, checkedAt: now, steadyFrom })
  return now >= steadyFrom
}

function steadyAfter(before: { checkedAt: Instant; steadyFrom: Instant }, now: Instant): Instant {
  const gap = minutesBetween(before.checkedAt, now)
  if (gap < -SMALL_STEP_MINUTES) return addMinutes(now, DAY_MINUTES)
  if (gap > LONGEST_GAP_MINUTES) return addMinutes(now, Math.min(gap, LONGEST_WAIT_MINUTES))
  return before.steadyFrom
}
