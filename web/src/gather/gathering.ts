// Which way in is open, and where what comes in is to land. Any screen opens one; the shell shows it.
import type { Landing } from '@valise/core/evidence'
import { createStore } from '../ui/createStore.ts'

/** The ways that open a dialog; files and folders open the device's own chooser instead. */
export type WayWithDialog =
  'photo' | 'film' | 'voice' | 'link' | 'drive' | 'shelf' | 'note' | 'collage' | 'phone'

export interface LandingPlace extends Landing {
  /** For a slot that wants the thing itself; told once it is kept. */
  readonly onKept?: (evidenceId: string) => void
}

interface OpenWay {
  readonly way: WayWithDialog
  readonly place: LandingPlace
}

export const openWay = createStore<OpenWay | null>(null)

export function gather(way: WayWithDialog, place: LandingPlace): void {
  openWay.set({ way, place })
}

export function endGathering(): void {
  openWay.set(null)
}
