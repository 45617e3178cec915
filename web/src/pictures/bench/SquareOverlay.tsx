// Squaring up: the four corners of the sheet over the picture as taken, with the net that becomes straight.
import { findQuadFault, mapPoint, rectangleToQuad } from '@valise/core/pictures'
import type { Point, Quad, Size } from '@valise/core/pictures'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Handle } from './Handle.tsx'
import { Magnifier } from './Magnifier.tsx'
import styles from './Handles.module.css'

interface SquareOverlayProps {
  /** In pixels of the picture as taken. */
  readonly corners: Quad
  readonly size: Size
  readonly image: HTMLImageElement | null
  readonly onMove: (corners: Quad) => void
  readonly onDone: (isByPointer: boolean) => void
}

const NET = [0.25, 0.5, 0.75]

export function SquareOverlay({ corners, size, image, onMove, onDone }: SquareOverlayProps) {
  const { t } = useTranslation('bench')
  const [held, setHeld] = useState<number | null>(null)
  const fault = findQuadFault(corners)
  const moveTo = (n: number, { x, y }: Point) => {
    const to = { x: clamp(x, size.width), y: clamp(y, size.height) }
    onMove(corners.map((corner, at) => (at === n ? to : corner)) as unknown as Quad) // four went in
  }
  const points = corners.map(({ x, y }) => `${x},${y}`).join(' ')
  return (
    <>
      <svg
        className={styles.lines}
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        {fault ? null : <path className={styles.net} d={netOf(corners)} />}
        <polygon className={styles.dark} points={points} />
        <polygon className={styles.outline} data-fault={fault !== null} points={points} />
      </svg>
      {corners.map((corner, n) => (
        <Handle
          key={n}
          label={t(`square.corners.${n as 0 | 1 | 2 | 3}`)}
          at={corner}
          size={size}
          shape="diamond"
          onMove={(to) => moveTo(n, to)}
          onDone={onDone}
          onHold={(isHeld) => setHeld(isHeld ? n : null)}
        />
      ))}
      {held === null ? null : <Magnifier image={image} at={corners[held] ?? corners[0]} size={size} />}
    </>
  )
}

/** Lines that will be straight. */
function netOf(corners: Quad): string {
  const map = rectangleToQuad({ width: 1, height: 1 }, corners)
  const line = (from: Point, to: Point) => {
    const [a, b] = [mapPoint(map, from), mapPoint(map, to)]
    return `M${a.x} ${a.y}L${b.x} ${b.y}`
  }
  return NET.flatMap((fraction) => [
    line({ x: fraction, y: 0 }, { x: fraction, y: 1 }),
    line({ x: 0, y: fraction }, { x: 1, y: fraction }),
  ]).join('')
}

function clamp(value: number, most: number): number {
  return Math.min(most, Math.max(0, value))
}
