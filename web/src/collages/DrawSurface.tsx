// Drawing and rubbing out by hand; by keys the pen goes with the arrows, and the space bar puts it down and lifts it.
import type { PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { handleStyles as handles, placeOf } from '../pictures/bench/index.ts'
import type { Pen } from './DrawBar.tsx'
import type { Arranging } from './useArranging.ts'
import { useStroke } from './useStroke.ts'
import styles from './Collage.module.css'

export interface DrawSurfaceProps {
  readonly arranging: Arranging
  readonly pen: Pen
}

export function DrawSurface({ arranging, pen }: DrawSurfaceProps) {
  const { t } = useTranslation('collage')
  const { size, spot, begin, go, end, cancel, isDown, setIsDown, onKeyDown } = useStroke({ arranging, pen })
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
