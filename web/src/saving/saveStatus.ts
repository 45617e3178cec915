// Whether the last change is saved: the status that the top bar shows.
import { createStore } from '../ui/createStore.ts'

export type SaveStatus =
  | { readonly state: 'nothing-yet' }
  | { readonly state: 'saving' }
  | { readonly state: 'saved'; readonly at: Date }
  | { readonly state: 'on-device'; readonly count: number }
  | { readonly state: 'refused' }

const status = createStore<SaveStatus>({ state: 'nothing-yet' })
let inFlight = 0
/** The places whose text the server refuses: `refused` shows until each of them is cleared. */
const unsaved = new Set<string>()

export const useSaveStatus = status.use
export const getSaveStatus = status.get

export function noteSaving(): void {
  inFlight += 1
  status.set({ state: 'saving' })
}

export function noteSaved(): void {
  inFlight -= 1
  if (inFlight > 0) return
  status.set(unsaved.size > 0 ? { state: 'refused' } : { state: 'saved', at: new Date() })
}

/** The server cannot be reached: `count` changes wait on this device. */
export function noteOnDevice(count: number): void {
  status.set({ state: 'on-device', count })
}

export function noteRefused(): void {
  inFlight -= 1
  status.set({ state: 'refused' })
}

/** Marks the text at `place` as one that cannot be saved, until `clearUnsaved(place)`. */
export function noteUnsaved(place: string): void {
  unsaved.add(place)
  status.set({ state: 'refused' })
}

export function clearUnsaved(place: string): void {
  if (!unsaved.delete(place) || unsaved.size > 0 || status.get().state !== 'refused') return
  status.set(inFlight > 0 ? { state: 'saving' } : { state: 'saved', at: new Date() })
}
