// Something over the picture that can be taken hold of: chosen, moved by pointer and by keys, dropped.
import type { Box, Point, Size } from '@valise/core/pictures'
import { useRef } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { arrowStep, placeOf } from './Handle.tsx'
import { useHolding } from './heldHandle.ts'
import styles from './Handles.module.css'

interface GripProps {
  readonly label: string
  readonly box: Box
  /** The size of the picture that it lies over. */
  readonly size: Size
  readonly isChosen: boolean
  /** Whether the one that is chosen has a line about it; without, what lies under it shows that. */
  readonly isOutlined?: boolean
  readonly onChoose: () => void
  readonly onMove: (from: Point, to: Point) => void
  readonly onDone: () => void
  readonly onDrop: () => void
}

export function Grip({ label, box, size, isChosen, isOutlined = false, ...grip }: GripProps) {
  const handlers = useGrip({ label, box, size, ...grip })
  return (
    <button
      type="button"
      className={styles.grip}
      data-chosen={isOutlined && isChosen}
      aria-label={label}
      aria-pressed={isChosen}
      style={{
        left: `${(box.x / size.width) * 100}%`,
        top: `${(box.y / size.height) * 100}%`,
        width: `${(box.width / size.width) * 100}%`,
        height: `${(box.height / size.height) * 100}%`,
      }}
      {...handlers}
    />
  )
}

type GripActs = Omit<GripProps, 'isChosen' | 'isOutlined'>

function useGrip({ label, box, size, onChoose, onMove, onDone, onDrop }: GripActs) {
  const last = useRef<Point | null>(null)
  const middle = { x: box.x + box.width / 2, y: box.y + box.height / 2 }
  const moveBy = ({ x, y }: Point) => onMove(middle, { x: middle.x + x, y: middle.y + y })
  const hold = useHolding({
    label,
    at: { x: box.x / size.width, y: box.y / size.height },
    moveBy: ({ x, y }) => moveBy({ x: x * size.width, y: y * size.height }),
    done: onDone,
  })
  const onFocus = () => {
    onChoose()
    hold()
  }
  return {
    onFocus,
    onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
      event.stopPropagation()
      onFocus()
      const surface = event.currentTarget.parentElement
      if (surface) last.current = placeOf(event, surface, size)
      event.currentTarget.setPointerCapture(event.pointerId)
    },
    onPointerMove: (event: PointerEvent<HTMLButtonElement>) => {
      const surface = event.currentTarget.parentElement
      if (!surface || !last.current) return
      const to = placeOf(event, surface, size)
      onMove(last.current, to)
      last.current = to
    },
    onPointerUp: () => {
      last.current = null
      onDone()
    },
    onKeyDown: (event: KeyboardEvent) => {
      const step = arrowStep(event)
      if (step) {
        event.preventDefault()
        moveBy(step)
      } else if (event.key === 'Delete' || event.key === 'Backspace') {
        event.preventDefault()
        onDrop()
      }
    },
    onKeyUp: (event: KeyboardEvent) => {
      if (event.key.startsWith('Arrow')) onDone()
    },
  }
}
