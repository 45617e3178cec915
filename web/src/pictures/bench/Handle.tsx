// A handle on the picture: dragged with pointer or finger, moved by the arrow keys (1 pixel, with Shift 10) or the move pad.
import type { KeyboardEvent, PointerEvent } from 'react'
import type { Point, Size } from '@valise/core/pictures'
import { useHolding } from './heldHandle.ts'
import styles from './Handles.module.css'

export interface HandleProps {
  readonly label: string
  /** Where it stands, in pixels of the picture that it lies over. */
  readonly at: Point
  readonly size: Size
  readonly shape?: 'square' | 'diamond' | 'edge'
  readonly onMove: (to: Point) => void
  readonly onDone: (isByPointer: boolean) => void
  readonly onHold?: (isHeld: boolean) => void
}

const steps: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}

/** Returns the step of an arrow key, in pixels; null for other keys. */
export function arrowStep(event: KeyboardEvent): Point | null {
  const step = steps[event.key]
  if (!step || event.ctrlKey || event.altKey || event.metaKey) return null
  const far = event.shiftKey ? 10 : 1
  return { x: step[0] * far, y: step[1] * far }
}

/** Converts a pointer position to pixels of the picture that the surface shows. */
export function placeOf(event: PointerEvent, surface: Element, size: Size): Point {
  const box = surface.getBoundingClientRect()
  return {
    x: ((event.clientX - box.left) / box.width) * size.width,
    y: ((event.clientY - box.top) / box.height) * size.height,
  }
}

export function Handle({ label, at, size, shape = 'square', onMove, onDone, onHold }: HandleProps) {
  const hold = useHolding({
    label,
    at: { x: at.x / size.width, y: at.y / size.height },
    moveBy: (by) => onMove({ x: at.x + by.x * size.width, y: at.y + by.y * size.height }),
    done: () => onDone(false),
  })
  return (
    <button
      type="button"
      className={styles.handle}
      data-shape={shape}
      aria-label={label}
      style={{ left: `${(at.x / size.width) * 100}%`, top: `${(at.y / size.height) * 100}%` }}
      onPointerDown={(event) => {
        event.stopPropagation()
        hold()
        event.currentTarget.setPointerCapture(event.pointerId)
        onHold?.(true)
      }}
      onPointerMove={(event) => {
        const surface = event.currentTarget.parentElement
        if (!surface || !event.currentTarget.hasPointerCapture(event.pointerId)) return
        onMove(placeOf(event, surface, size))
      }}
      onPointerUp={(event) => {
        event.currentTarget.releasePointerCapture(event.pointerId)
        onHold?.(false)
        onDone(true)
      }}
      onPointerCancel={() => onHold?.(false)}
      onFocus={(event) => {
        hold()
        if (event.currentTarget.matches(':focus-visible')) onHold?.(true)
      }}
      onBlur={() => onHold?.(false)}
      onKeyDown={(event) => {
        const step = arrowStep(event)
        if (!step) return
        event.preventDefault()
        event.stopPropagation()
        onMove({ x: at.x + step.x, y: at.y + step.y })
      }}
      onKeyUp={(event) => {
        if (steps[event.key]) onDone(false)
      }}
    />
  )
}
