// Two fingers enlarge and move what is shown, also while one finger draws: the stroke that the first began is let go.
import { useRef } from 'react'
import type { PointerEvent } from 'react'

interface Finger {
  readonly x: number
  readonly y: number
}

export interface TwoFingers {
  onPointerDownCapture(event: PointerEvent): void
  onPointerMoveCapture(event: PointerEvent): void
  onPointerUpCapture(event: PointerEvent): void
  onPointerCancelCapture(event: PointerEvent): void
}

/**
 * @param onMove gets the zoom factor, and how far the midpoint between both fingers moved, in CSS pixels
 */
export function useTwoFingers(onMove: (by: number, across: number, down: number) => void): TwoFingers {
  const fingers = useRef(new Map<number, Finger>())
  const isTwo = useRef(false)
  const lift = ({ pointerId }: PointerEvent) => {
    fingers.current.delete(pointerId)
    if (fingers.current.size === 0) isTwo.current = false
  }
  return {
    onPointerDownCapture: (event) => {
      if (event.pointerType !== 'touch') return
      fingers.current.set(event.pointerId, { x: event.clientX, y: event.clientY })
      if (fingers.current.size < 2) return
      event.stopPropagation()
      if (isTwo.current) return
      isTwo.current = true
      const [first] = fingers.current.keys()
      if (first !== undefined)
        event.target.dispatchEvent(
          new window.PointerEvent('pointercancel', { bubbles: true, pointerId: first, pointerType: 'pen' }),
        )
    },
    onPointerMoveCapture: (event) => {
      const before = fingers.current.get(event.pointerId)
      if (!before) return
      fingers.current.set(event.pointerId, { x: event.clientX, y: event.clientY })
      if (!isTwo.current) return
      event.stopPropagation()
      const other = [...fingers.current].find(([id]) => id !== event.pointerId)?.[1]
      if (!other) return
      const far = (one: Finger) => Math.max(20, Math.hypot(one.x - other.x, one.y - other.y))
      const now = { x: event.clientX, y: event.clientY }
      onMove(far(now) / far(before), (now.x - before.x) / 2, (now.y - before.y) / 2)
    },
    onPointerUpCapture: (event) => {
      if (isTwo.current && fingers.current.has(event.pointerId)) event.stopPropagation()
      lift(event)
    },
    onPointerCancelCapture: (event) => {
      if (event.pointerType === 'touch') lift(event)
    },
  }
}
