// One stroke of the pen or the rubber after the other, by pointer and by keys.
import { boardSizes } from '@valise/core/pictures'
import type { Point } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { KeyboardEvent } from 'react'
import { arrowStep } from '../pictures/bench/index.ts'
import { withStroke } from './newLayers.ts'
import type { DrawSurfaceProps } from './DrawSurface.tsx'

/** How far one press of an arrow key leads, in units of the board. */
const STEP = 8

export function useStroke({ arranging, pen }: DrawSurfaceProps) {
  const size = boardSizes[arranging.collage.size]
  const before = useRef(arranging.collage)
  const drawn = useRef<readonly Point[]>([])
  /** The sheet that is laid on the board where there is none to draw on; each stroke may need one. */
  const sheetId = useRef('')
  const [spot, setSpot] = useState<Point>({ x: size.width / 2, y: size.height / 2 })
  const [isDown, setIsDown] = useState(false)
  const shown = (points: readonly Point[]) =>
    withStroke(before.current, { ...pen, points }, arranging.ids, sheetId.current)
  const begin = (at: Point) => {
    before.current = arranging.collage
    sheetId.current = crypto.randomUUID()
    drawn.current = [at]
  }
  const go = (to: Point) => {
    if (drawn.current.length === 0) return
    drawn.current = [...drawn.current, to]
    const next = shown(drawn.current)
    if (next) arranging.show(next.layers)
  }
  const end = () => {
    const next = drawn.current.length === 0 ? null : shown(drawn.current)
    drawn.current = []
    if (next) arranging.saveCollage({ ...before.current, layers: next.layers })
  }
  const cancel = () => {
    if (drawn.current.length > 0) arranging.showCollage(before.current)
    drawn.current = []
  }
  const onKeyDown = (event: KeyboardEvent) => {
    const step = arrowStep(event)
    if (step) {
      event.preventDefault()
      const to = {
        x: within(spot.x + step.x * STEP, size.width),
        y: within(spot.y + step.y * STEP, size.height),
      }
      setSpot(to)
      if (isDown) go(to)
    } else if (event.key === ' ') {
      event.preventDefault()
      if (isDown) end()
      else begin(spot)
      setIsDown(!isDown)
    }
  }
  return { size, spot, begin, go, end, cancel, isDown, setIsDown, onKeyDown }
}

function within(value: number, most: number): number {
  return Math.min(most, Math.max(0, value))
}
