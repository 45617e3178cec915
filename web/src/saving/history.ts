// The way back and forth: what was before, what is, what was taken back; as long as the window is open, without end.
import { isSame } from '@valise/core/json'

export interface History<T> {
  readonly past: readonly T[]
  readonly present: T
  readonly future: readonly T[]
}

export function beginHistory<T>(present: T): History<T> {
  return { past: [], present, future: [] }
}

/** Adds a change; an equal state adds none. */
export function change<T>(history: History<T>, present: T): History<T> {
  if (isSame(present, history.present)) return history
  return { past: [...history.past, history.present], present, future: [] }
}

export function undo<T>({ past, present, future }: History<T>): History<T> {
  const before = past.at(-1)
  return before === undefined
    ? { past, present, future }
    : { past: past.slice(0, -1), present: before, future: [present, ...future] }
}

export function redo<T>({ past, present, future }: History<T>): History<T> {
  const [next, ...rest] = future
  return next === undefined
    ? { past, present, future }
    : { past: [...past, present], present: next, future: rest }
}
