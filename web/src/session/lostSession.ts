// That the server no longer knows who we are, while a screen is open.
import { ApiProblem } from '../api/index.ts'
import { createStore } from '../ui/createStore.ts'

const lost = createStore(false)
let regainedAt = Number.NEGATIVE_INFINITY

export const useLostSession = lost.use
export const isSessionLost = lost.get

/**
 * Marks the session as lost where the server answered that it has ended.
 *
 * The answer to a request from before somebody signed in again can arrive later, and says nothing about the new
 * session.
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
