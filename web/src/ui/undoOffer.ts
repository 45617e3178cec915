// What can be undone on any screen: the last thing that was put away, and how it comes back.
import { createStore } from './createStore.ts'

export interface UndoOffer {
  /** What was done, as a sentence. */
  readonly words: string
  undo(): void
}

export const undoOffer = createStore<UndoOffer | null>(null)

/** Shows what was done with a button that undoes it; an earlier offer goes. */
export function offerUndo(words: string, undo: () => void): void {
  undoOffer.set({ words, undo })
}
