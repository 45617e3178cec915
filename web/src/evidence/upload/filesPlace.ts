// The screen that takes files that are dropped or pasted beside its own places, instead of sending them to the evidence.
import { useEffect } from 'react'
import { createStore } from '../../ui/createStore.ts'

/** @param pastedInto the text that they were pasted into with words; null for files alone */
export type TakeFiles = (files: readonly File[], pastedInto: Element | null) => void

export const filesPlace = createStore<TakeFiles | null>(null)

/** Handles all files that arrive while this screen is open. */
export function useFilesPlace(take: TakeFiles): void {
  useEffect(() => filesPlace.set(take), [take])
  useEffect(() => () => filesPlace.set(null), [])
}
