// Half-open windows of time: from the first instant on, until just before the last.
import type { Instant } from './instant.ts'
import { endOfDay, startOfDay } from './localTime.ts'
import type { LocalDay, Zone } from './localTime.ts'

/** From `from` (included) until `until` (excluded); null is open on that side. */
export interface TimeWindow {
  readonly from: Instant | null
  readonly until: Instant | null
}

/** A window in local days; the last day is included. */
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

/** Returns whether two windows overlap. */
export function doOverlap(a: TimeWindow, b: TimeWindow): boolean {
  const endsFirst = (x: TimeWindow, y: TimeWindow) => x.until !== null && y.from !== null && x.until <= y.from
  return !endsFirst(a, b) && !endsFirst(b, a)
}

/** Returns whether a window contains no instant. */
export function isEmptyWindow(window: TimeWindow): boolean {
  return window.from !== null && window.until !== null && window.until <= window.from
}

/** Converts a window of local days to instants. */
export function toTimeWindow(days: DayWindow, zone: Zone): TimeWindow {
  return {
    from: days.firstDay === null ? null : startOfDay(days.firstDay, zone),
    until: days.lastDay === null ? null : endOfDay(days.lastDay, zone),
  }
}

/** Returns the intersection of two windows; empty where they do not overlap. */
export function meetWindows(a: TimeWindow, b: TimeWindow): TimeWindow {
  return { from: later(a.from, b.from), until: earlier(a.until, b.until) }
}

/**
 * Returns when the unbroken union of windows around a moment ends; null for never.
 *
 * A window that starts where another ends continues it. Where no window contains the moment, the moment itself is the
 * end.
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
