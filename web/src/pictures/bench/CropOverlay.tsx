// Cropping: the crop box over the uncropped picture.
import type { Box, Point, Size } from '@valise/core/pictures'
import type { PointerEvent } from 'react'
import { useRef } from 'react'
import { useTranslation } from 'react-i18next'
import { moveBox, resizeBox } from './boxes.ts'
import type { Side } from './boxes.ts'
import { arrowStep, Handle, placeOf } from './Handle.tsx'
import { useHolding } from './heldHandle.ts'
import styles from './Handles.module.css'

interface CropOverlayProps {
  /** In pixels of the picture that it lies over. */
  readonly box: Box
  readonly size: Size
  /** Width over height where the shape is held; null for any. */
  readonly ratio: number | null
  readonly onMove: (box: Box) => void
  readonly onDone: () => void
}

const sides: readonly Side[] = ['nw', 'n', 'ne', 'e', 'se', 's', 'sw', 'w']

export function CropOverlay({ box, size, ratio, onMove, onDone }: CropOverlayProps) {
  const { t } = useTranslation('bench')
  const grabbed = useRef<Point | null>(null)
  const { x, y, width, height } = box
  const frame = `M0 0H${size.width}V${size.height}H0ZM${x} ${y}H${x + width}V${y + height}H${x}Z`
  const drag = (event: PointerEvent<HTMLButtonElement>) => {
    const surface = event.currentTarget.parentElement
    if (!surface || !grabbed.current) return
    const at = placeOf(event, surface, size)
    onMove(moveBox(box, { x: at.x - grabbed.current.x - x, y: at.y - grabbed.current.y - y }, size))
  }
  const hold = useHolding({
    label: t('crop.box'),
    at: { x: x / size.width, y: y / size.height },
    moveBy: (by) => onMove(moveBox(box, { x: by.x * size.width, y: by.y * size.height }, size)),
    done: onDone,
  })
  const shown = ratio === null ? sides : sides.filter((side) => side.length === 2)
  return (
    <>
      <svg
        className={styles.lines}
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        <path className={styles.shade} d={frame} />
        <rect className={styles.outline} {...box} />
      </svg>
      <button
        type="button"
        className={styles.grip}
        aria-label={t('crop.box')}
        style={{
          left: `${(x / size.width) * 100}%`,
          top: `${(y / size.height) * 100}%`,
          width: `${(width / size.width) * 100}%`,
          height: `${(height / size.height) * 100}%`,
        }}
        onFocus={hold}
        onPointerDown={(event) => {
          hold()
          const surface = event.currentTarget.parentElement
          if (!surface) return
          const at = placeOf(event, surface, size)
          grabbed.current = { x: at.x - x, y: at.y - y }
          event.currentTarget.setPointerCapture(event.pointerId)
        }}
        onPointerMove={drag}
        onPointerUp={() => {
          grabbed.current = null
          onDone()
        }}
        onKeyDown={(event) => {
          const step = arrowStep(event)
          if (!step) return
          event.preventDefault()
          onMove(moveBox(box, step, size))
        }}
        onKeyUp={(event) => {
          if (event.key.startsWith('Arrow')) onDone()
        }}
      />
      {shown.map((side) => (
        <Handle
          key={side}
          label={t(`crop.sides.${side}`)}
          at={{
            x: side.includes('w') ? x : side.includes('e') ? x + width : x + width / 2,
            y: side.includes('n') ? y : side.includes('s') ? y + height : y + height / 2,
          }}
          size={size}
          shape={side.length === 2 ? 'square' : 'edge'}
          onMove={(to) => onMove(resizeBox(box, side, to, size, ratio))}
          onDone={onDone}
        />
      ))}
    </>
  )
}
