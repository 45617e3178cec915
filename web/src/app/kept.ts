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
/** Where something stands that the server does not take: it is not saved, whatever else is. */
const unsaved = new Set<string>()

export const useKept = kept.use
export const keptState = kept.get

export function noteKeeping(): void {
  underWay += 1
  kept.set({ state: 'keeping' })
}

export function noteKept(): void {
  underWay -= 1
  if (underWay > 0) return
  kept.set(unsaved.size > 0 ? { state: 'refused' } : { state: 'kept', at: new Date() })
}

/** The server cannot be had: what was entered stays on this device until it can. */
export function noteOnDevice(count: number): void {
  kept.set({ state: 'on-device', count })
}

export function noteRefused(): void {
  underWay -= 1
  kept.set({ state: 'refused' })
}

/**
 * What stands at a place cannot be saved. The top bar says so until `clearUnsaved`, also while other things are saved.
 */
export function noteUnsaved(place: string): void {
  unsaved.add(place)
  kept.set({ state: 'refused' })
}

export function clearUnsaved(place: string): void {
  if (!unsaved.delete(place) || unsaved.size > 0 || kept.get().state !== 'refused') return
  kept.set(underWay > 0 ? { state: 'keeping' } : { state: 'kept', at: new Date() })
}
