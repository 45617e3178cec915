// The place that takes things from the tray: the screen that is open says what it would do with them.
import type { EvidenceRow } from '@valise/core/evidence'
import { useEffect } from 'react'
import { createStore } from '../../ui/createStore.ts'

export interface TrayPlace {
  /** The verb beside each thing, and the one for all of them. */
  readonly one: string
  readonly all: string
  onOne(item: EvidenceRow): void
  onAll(items: readonly EvidenceRow[]): void
}

/** The data type of an item that is dragged out of the tray. */
export const TRAY_DRAG = 'application/x-valise-evidence'

export const trayPlace = createStore<TrayPlace | null>(null)

/** Registers this screen as a target of the tray while it is open. */
export function useTrayPlace(place: TrayPlace): void {
  useEffect(() => trayPlace.set(place), [place])
  useEffect(() => () => trayPlace.set(null), [])
}
