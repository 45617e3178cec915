// Loads the page afresh where the code that it runs on is no longer there, and never in a circle.
import { get } from '../api/index.ts'

const KEPT_UNDER = 'valise-reloaded'
/** Two new versions do not come within this time. */
const AT_MOST_EVERY_MS = 60_000

/** Reloads the page if the server can be reached, unless that just happened. What was typed is on the device. */
export async function reloadOnce(): Promise<void> {
  const isReachable = await get('/api/status').then(
    () => true,
    () => false,
  )
  if (!isReachable) return
  const last = Number(readLast() ?? 0)
  if (Date.now() - last < AT_MOST_EVERY_MS) return
  writeLast(Date.now())
  window.location.reload()
}

function readLast(): string | null {
  try {
    return sessionStorage.getItem(KEPT_UNDER)
  } catch {
    // Storage may be closed to us; then nothing is known of another time.
    return null
  }
}

function writeLast(at: number): void {
  try {
    sessionStorage.setItem(KEPT_UNDER, String(at))
  } catch {
    // As above: the reload itself is what matters.
  }
}
