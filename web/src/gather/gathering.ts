// Which way in is open, and where what comes in is to land. Any screen opens one; the shell shows it.
import type { Landing } from '@valise/core/evidence'
import type { MarkedMoment } from '@valise/core/pages'
import { createStore } from '../ui/createStore.ts'

/** The sources that open a dialog; files and folders open the device's own chooser instead. */
export type SourceWithDialog =
  'photo' | 'film' | 'voice' | 'link' | 'drive' | 'shelf' | 'note' | 'collage' | 'phone'

export interface LandingPlace extends Landing {
  /** For a slot that needs the item itself; called once it is saved. */
  readonly onSaved?: (evidenceId: string) => void
  /** For whatever keeps the moments that are marked while one records; without it none can be marked. */
  readonly onRecorded?: (evidenceId: string, moments: readonly MarkedMoment[]) => void
}

interface OpenSource {
  readonly source: SourceWithDialog
  readonly place: LandingPlace
}

export const openSource = createStore<OpenSource | null>(null)

export function gather(source: SourceWithDialog, place: LandingPlace): void {
  openSource.set({ source, place })
}

export function endGathering(): void {
  openSource.set(null)
}
