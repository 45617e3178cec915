// The handle that was chosen last: buttons move it for those who do not drag, and its position is announced.
import type { Point } from '@valise/core/pictures'
import { useEffect, useId, useRef } from 'react'
import { createStore } from '../../ui/createStore.ts'

export interface HeldHandle {
  readonly label: string
  /** In parts of the picture that it lies over, 0 to 1. */
  readonly at: Point
  /** Moves it by parts of the picture. */
  moveBy(by: Point): void
  /** Saves where it was moved to. */
  done(): void
}

interface Holding {
  readonly id: string
  readonly handle: HeldHandle
}

const held = createStore<Holding | null>(null)

export const useHeldHandle = () => held.use()?.handle ?? null

/** Makes a handle holdable; returns a function to call when it is focused or pressed. */
export function useHolding(handle: HeldHandle): () => void {
  const id = useId()
  const newest = useRef(handle)
  const isMoved = useRef(false)
  const forward = (): HeldHandle => ({
    label: newest.current.label,
    at: newest.current.at,
    moveBy: (by) => {
      isMoved.current = true
      newest.current.moveBy(by)
    },
    done: () => newest.current.done(),
  })
  useEffect(() => {
    newest.current = handle
    const { x, y } = handle.at
    const now = held.get()
    // Told again only where something changed, else every rendering would cause another one.
    if (
      now?.id === id &&
      (now.handle.at.x !== x || now.handle.at.y !== y || now.handle.label !== handle.label)
    )
      held.set({ id, handle: forward() })
    // What was moved is saved once it stands where it was moved to.
    if (isMoved.current) {
      isMoved.current = false
      handle.done()
    }
  })
  // A handle that is no longer there cannot be moved.
  useEffect(
    () => () => {
      if (held.get()?.id === id) held.set(null)
    },
    [id],
  )
  return () => held.set({ id, handle: forward() })
}
