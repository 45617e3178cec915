// Half-open windows of time: from the first instant on, until just before the last.
import type { Instant } from './instant.ts'
import { endOfDay, startOfDay } from './localTime.ts'
import type { LocalDay, Zone } from './localTime.ts'

/** From `from` (included) until `until` (excluded); null is open on that side. */
export interface TimeWindow {
  readonly from: Instant | null
  readonly until: Instant | null
}

/** The local days that a window was given in; the last day is included. */
export interface DayWindow {
  readonly firstDay: LocalDay | null
  readonly lastDay: LocalDay | null
}

export type WindowState = 'to-come' | 'running' | 'ended'

export function isWithin(window: TimeWindow, at: Instant): boolean {
  return windowState(window, at) === 'running'
}

export function windowState(window: TimeWindow, at: Instant): WindowState {
  if (window.until !== null && window.until <= at) return 'ended'
  return window.from !== null && at < window.from ? 'to-come' : 'running'
}

/** Whether two windows share a moment. */
export function doOverlap(a: TimeWindow, b: TimeWindow): boolean {
  const endsFirst = (x: TimeWindow, y: TimeWindow) => x.until !== null && y.from !== null && x.until <= y.from
  return !endsFirst(a, b) && !endsFirst(b, a)
}

/** Whether a window holds no moment at all. */
export function isEmptyWindow(window: TimeWindow): boolean {
  return window.from !== null && window.until !== null && window.until <= window.from
}

/** The instants that a window of local days means in a zone. */
export function toTimeWindow(days: DayWindow, zone: Zone): TimeWindow {
  return {
    from: days.firstDay === null ? null : startOfDay(days.firstDay, zone),
    until: days.lastDay === null ? null : endOfDay(days.lastDay, zone),
  }
}
