// What has just come in, in this window, so that it can be named where one is.
import { createStore } from '../../ui/createStore.ts'

/** Ids, the newest first. */
export const arrivals = createStore<readonly string[]>([])

const MOST_SHOWN = 20

export function noteArrival(evidenceId: string): void {
  arrivals.set([evidenceId, ...arrivals.get().filter((id) => id !== evidenceId)].slice(0, MOST_SHOWN))
}

export function clearArrivals(): void {
  arrivals.set([])
}
