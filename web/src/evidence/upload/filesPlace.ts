// The screen that takes files that are dropped or pasted beside its own places, instead of sending them to the evidence.
import { useEffect } from 'react'
import { createStore } from '../../ui/createStore.ts'

export type TakeFiles = (files: readonly File[]) => void

export const filesPlace = createStore<TakeFiles | null>(null)

/** Handles all files that arrive while this screen is open. */
export function useFilesPlace(take: TakeFiles): void {
  useEffect(() => filesPlace.set(take), [take])
  useEffect(() => () => filesPlace.set(null), [])
}
