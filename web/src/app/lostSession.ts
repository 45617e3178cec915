// That the server no longer knows who we are, while a screen is open.
import { createStore } from '../ui/createStore.ts'

const lost = createStore(false)

export const useLostSession = lost.use

export function loseSession(): void {
  lost.set(true)
}

export function regainSession(): void {
  lost.set(false)
}
