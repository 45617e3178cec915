// Drawing and rubbing out by hand; by keys the pen goes with the arrows, and the space bar puts it down and lifts it.
import { boardSizes } from '@valise/core/pictures'
import type { Point } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { handleStyles as handles, arrowStep, placeOf } from '../pictures/bench/index.ts'
import type { Pen } from './DrawBar.tsx'
import { withStroke } from './newLayers.ts'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

interface DrawSurfaceProps {
  readonly arranging: Arranging
  readonly pen: Pen
}

/** How far one press of an arrow key leads, in units of the board. */
const STEP = 8

export function DrawSurface({ arranging, pen }: DrawSurfaceProps) {
  const { t } = useTranslation('collage')
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
  const at = (event: PointerEvent<HTMLElement>) => placeOf(event, event.currentTarget, size)
  return (
    <div
      className={`${handles.surface} ${styles.drawing}`}
      data-drawing
      role="application"
      tabIndex={0}
      aria-label={t(pen.isEraser ? 'draw.rubber' : 'draw.surface')}
      onPointerDown={(event) => {
        if (event.button !== 0) return
        event.currentTarget.setPointerCapture(event.pointerId)
        begin(at(event))
      }}
      onPointerMove={(event) => go(at(event))}
      onPointerUp={end}
      onPointerCancel={cancel}
      onKeyDown={onKeyDown}
      onBlur={() => {
        if (isDown) end()
        setIsDown(false)
      }}
    >
      <span
        className={styles.nib}
        data-down={isDown}
        style={{ left: `${(spot.x / size.width) * 100}%`, top: `${(spot.y / size.height) * 100}%` }}
        aria-hidden
      />
      <span role="status" className="only-heard">
        {isDown ? t('draw.down') : t('draw.up')}
      </span>
    </div>
  )
}

function within(value: number, most: number): number {
  return Math.min(most, Math.max(0, value))
}
