// The note at the foot of whatever screen is open: what was just done and how to undo it, or what could not be done.
import { createStore } from './createStore.ts'

interface FootNoteAction {
  readonly label: 'undo' | 'open'
  /** Where what it returns is rejected, the note says why. */
  run(): unknown
}

export interface FootNote {
  readonly words: string
  /** Why it could not be done. Such a note stays until it is closed. */
  readonly error?: unknown
  readonly action?: FootNoteAction
  /** How long it stays, in milliseconds, where that is not as long as usual. */
  readonly staysMs?: number
}

export const footNote = createStore<FootNote | null>(null)

/** Shows what was done with a button that undoes it; replaces an earlier note. */
export function offerUndo(words: string, undo: () => unknown, staysMs?: number): void {
  footNote.set({ words, action: { label: 'undo', run: undo }, ...(staysMs !== undefined && { staysMs }) })
}

/** Runs the action of the visible note, if it has one. */
export async function runFootNote(): Promise<void> {
  const note = footNote.get()
  if (!note?.action) return
  footNote.set(null)
  try {
    await note.action.run()
  } catch (error) {
    footNote.set({ words: note.words, error })
  }
}
