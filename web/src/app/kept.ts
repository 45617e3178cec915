// Whether what was entered last is kept: the state that the top bar tells.
import { createStore } from '../ui/createStore.ts'

export type Kept =
  | { readonly state: 'nothing-yet' }
  | { readonly state: 'keeping' }
  | { readonly state: 'kept'; readonly at: Date }
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

export function noteRefused(): void {
  underWay -= 1
  kept.set({ state: 'refused' })
}
