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

/** The time that two windows share; empty where they share none. */
export function meetWindows(a: TimeWindow, b: TimeWindow): TimeWindow {
  return { from: later(a.from, b.from), until: earlier(a.until, b.until) }
}

/**
 * Until when the unbroken union of windows goes on that holds a moment; null without end.
 *
 * A window that begins where another ends continues it. Where none holds the moment, the moment itself is the end.
 */
export function endOfUnion(windows: readonly TimeWindow[], at: Instant): Instant | null {
  let end = at
  for (;;) {
    const going = windows.filter(
      (one) => (one.from === null || one.from <= end) && (one.until === null || one.until > end),
    )
    if (going.length === 0) return end
    for (const { until } of going) {
      if (until === null) return null
      if (until > end) end = until
    }
  }
}

function later(a: Instant | null, b: Instant | null): Instant | null {
  if (a === null || b === null) return a ?? b
  return a > b ? a : b
}

function earlier(a: Instant | null, b: Instant | null): Instant | null {
  if (a === null || b === null) return a ?? b
  return a < b ? a : b
}
