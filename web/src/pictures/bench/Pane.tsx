// One half of the bench: a picture that fits, can be enlarged and moved, with what a tool draws over it.
import { useEffect, useRef } from 'react'
import type { ReactNode, WheelEvent } from 'react'
import type { Size } from '@valise/core/pictures'
import { useTwoFingers } from './useTwoFingers.ts'
import { useBoxSize } from './useBoxSize.ts'
import styles from './Bench.module.css'

interface PaneProps {
  readonly half: 'taken' | 'result' | 'board'
  readonly label: ReactNode
  /** What those hear who do not see it. */
  readonly name: string
  readonly size: Size
  /** Whether what it shows is only suggested. */
  readonly isOffered?: boolean
  readonly zoom: number
  readonly onZoom: (by: number) => void
  readonly children: ReactNode
}

const MARGIN = 28

export function Pane({ half, label, name, size, isOffered = false, zoom, onZoom, children }: PaneProps) {
  const frame = useRef<HTMLDivElement>(null)
  const room = useBoxSize(frame)
  const fit = Math.min((room.width - MARGIN) / size.width, (room.height - MARGIN) / size.height)
  const scale = Math.max(0.001, fit) * zoom
  // The middle of what was seen stays in the middle.
  const before = useRef(scale)
  useEffect(() => {
    const element = frame.current
    if (!element || before.current === scale) return
    const factor = scale / before.current
    const middle = { x: element.scrollLeft + room.width / 2, y: element.scrollTop + room.height / 2 }
    element.scrollTo(middle.x * factor - room.width / 2, middle.y * factor - room.height / 2)
    before.current = scale
  }, [scale, room])
  const onWheel = (event: WheelEvent) => {
    if (event.ctrlKey) onZoom(event.deltaY < 0 ? 1.15 : 1 / 1.15)
  }
  const fingers = useTwoFingers((by, across, down) => {
    onZoom(by)
    frame.current?.scrollBy(-across, -down)
  })
  return (
    <section className={styles.pane} data-half={half} data-offered={isOffered} aria-label={name}>
      <div className={styles.scroll} ref={frame} tabIndex={zoom > 1 ? 0 : -1} onWheel={onWheel} {...fingers}>
        <div className={styles.picture} style={{ width: size.width * scale, height: size.height * scale }}>
          {children}
        </div>
      </div>
      <span className={styles.label}>{label}</span>
    </section>
  )
}
