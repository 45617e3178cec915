// That the server no longer knows who we are, while a screen is open.
import { createStore } from '../ui/createStore.ts'

const lost = createStore(false)
let regainedAt = Number.NEGATIVE_INFINITY

export const useLostSession = lost.use
export const isSessionLost = lost.get

/**
 * @param askedAt when the server was asked that answered so, by the clock of the page: what was asked before somebody
 *   signed in again may be answered after it, and says nothing of the new session
 */
export function loseSession(askedAt: number = performance.now()): void {
  if (askedAt > regainedAt) lost.set(true)
}

export function regainSession(): void {
  regainedAt = performance.now()
  lost.set(false)
}
