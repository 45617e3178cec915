// That the server no longer knows who we are, while a screen is open.
import { ApiProblem } from '../api/index.ts'
import { createStore } from '../ui/createStore.ts'

const lost = createStore(false)
let regainedAt = Number.NEGATIVE_INFINITY

export const useLostSession = lost.use
export const isSessionLost = lost.get

/**
 * Takes note of a session that has ended, where that is what the server answered.
 *
 * What was asked before somebody signed in again may be answered after it, and says nothing of the new session.
 *
 * @returns whether the answer was that one
 */
export function loseWhereSignedOut(error: unknown): boolean {
  if (!(error instanceof ApiProblem) || error.reason !== 'signed-out') return false
  if (error.askedAt > regainedAt) lost.set(true)
  return true
}

export function regainSession(): void {
  regainedAt = performance.now()
  lost.set(false)
}
