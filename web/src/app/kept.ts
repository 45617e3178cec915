// Whether what was entered last is kept: the state that the top bar tells.
import { createStore } from '../ui/createStore.ts'

export type Kept =
  | { readonly state: 'nothing-yet' }
  | { readonly state: 'keeping' }
  | { readonly state: 'kept'; readonly at: Date }
  | { readonly state: 'on-device'; readonly count: number }
  | { readonly state: 'refused' }

const kept = createStore<Kept>({ state: 'nothing-yet' })
let underWay = 0

export const useKept = kept.use
export const keptState = kept.get

export function noteKeeping(): void {
  underWay += 1
  kept.set({ state: 'keeping' })
}

export function noteKept(): void {
  underWay -= 1
  if (underWay === 0) kept.set({ state: 'kept', at: new Date() })
}

/** The server cannot be had: what was entered stays on this device until it can. */
export function noteOnDevice(count: number): void {
  kept.set({ state: 'on-device', count })
}

export function noteRefused(): void {
  underWay -= 1
  kept.set({ state: 'refused' })
}
