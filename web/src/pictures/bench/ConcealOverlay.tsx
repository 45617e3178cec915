// Concealing: the parts over a picture, drawn as boxes or with a brush, moved, resized and dropped.
import type { Point, Size } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { boxBetween, moveCorner, movePoints } from './regions.ts'
import { Grip } from './Grip.tsx'
import { Handle, placeOf } from './Handle.tsx'
import styles from './Handles.module.css'

/** A concealed region as it lies over the visible picture. */
export interface RegionInView {
  readonly points: readonly Point[]
  /** 0 for an outline; for a brush how far it covers about its line. */
  readonly radius: number
}

export type Drawing = 'box' | 'brush' | 'none'

interface ConcealOverlayProps {
  readonly parts: readonly RegionInView[]
  readonly chosen: number | null
  readonly size: Size
  readonly drawing: Drawing
  readonly brush: number
  readonly onChoose: (n: number) => void
  readonly onChange: (n: number, points: readonly Point[]) => void
  readonly onDone: () => void
  readonly onDrop: (n: number) => void
  readonly onDraw: (region: RegionInView) => void
}

/** Shorter drags are clicks. */
const LEAST_DRAG = 4

export function ConcealOverlay(props: ConcealOverlayProps) {
  const { parts, chosen, size, drawing, brush, onDraw } = props
  const [drawn, setDrawn] = useState<RegionInView | null>(null)
  const start = useRef<Point | null>(null)
  const begin = (event: PointerEvent<HTMLDivElement>) => {
    if (drawing === 'none' || event.button !== 0) return
    event.currentTarget.setPointerCapture(event.pointerId)
    start.current = placeOf(event, event.currentTarget, size)
    if (drawing === 'brush') setDrawn({ points: [start.current], radius: brush })
  }
  const go = (event: PointerEvent<HTMLDivElement>) => {
    if (!start.current) return
    const to = placeOf(event, event.currentTarget, size)
    setDrawn(
      drawing === 'box' ? { points: boxBetween(start.current, to), radius: 0 } : withPoint(drawn, to, brush),
    )
  }
  const end = (event: PointerEvent<HTMLDivElement>) => {
    const perPixel = size.width / event.currentTarget.getBoundingClientRect().width
    if (drawn && (drawn.radius > 0 || lengthOf(drawn.points) > LEAST_DRAG * perPixel)) onDraw(drawn)
    start.current = null
    setDrawn(null)
  }
  return (
    <div
      className={styles.surface}
      data-drawing={drawing !== 'none'}
      onPointerDown={begin}
      onPointerMove={go}
      onPointerUp={end}
      onPointerCancel={() => setDrawn(null)}
    >
      <svg
        className={styles.lines}
        viewBox={`0 0 ${size.width} ${size.height}`}
        preserveAspectRatio="none"
        aria-hidden
      >
        {parts.map((region, n) => (
          <Shape key={n} region={region} isChosen={n === chosen} />
        ))}
        {drawn ? <Shape region={drawn} isChosen /> : null}
      </svg>
      {parts.map((region, n) => (
        <RegionGrip key={n} {...props} region={region} n={n} />
      ))}
    </div>
  )
}

function Shape({ region, isChosen }: { readonly region: RegionInView; readonly isChosen: boolean }) {
  const points = region.points.map(({ x, y }) => `${x},${y}`).join(' ')
  if (region.radius === 0) return <polygon className={styles.region} data-chosen={isChosen} points={points} />
  const line = region.points.length === 1 ? `${points} ${points}` : points
  return (
    <polyline
      points={line}
      fill="none"
      stroke={isChosen ? 'var(--apricot2)' : '#1c2b33'}
      strokeOpacity={0.6}
      strokeWidth={region.radius * 2}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  )
}

function RegionGrip(props: ConcealOverlayProps & { readonly region: RegionInView; readonly n: number }) {
  const { region, n, chosen, size, onChoose, onChange, onDone, onDrop } = props
  const { t } = useTranslation('bench')
  return (
    <>
      <Grip
        label={t('conceal.region', { n: n + 1 })}
        box={boundsOf(region)}
        size={size}
        isChosen={n === chosen}
        onChoose={() => onChoose(n)}
        onMove={(from, to) => onChange(n, movePoints(region.points, { x: to.x - from.x, y: to.y - from.y }))}
        onDone={onDone}
        onDrop={() => onDrop(n)}
      />
      {n === chosen && region.radius === 0 && region.points.length === 4
        ? region.points.map((point, corner) => (
            <Handle
              key={corner}
              label={t(`square.corners.${corner as 0 | 1 | 2 | 3}`)}
              at={point}
              size={size}
              onMove={(to) => onChange(n, moveCorner(region.points, corner, to))}
              onDone={onDone}
            />
          ))
        : null}
    </>
  )
}

/** The distance of the points of a stroke: more points would add nothing. */
function withPoint(drawn: RegionInView | null, to: Point, radius: number): RegionInView {
  const points = drawn?.points ?? []
  const last = points.at(-1)
  return last && Math.hypot(to.x - last.x, to.y - last.y) < radius / 3
    ? { points, radius }
    : { points: [...points, to], radius }
}

function lengthOf(points: readonly Point[]): number {
  const { width, height } = boundsOf({ points, radius: 0 })
  return Math.min(width, height)
}

function boundsOf({ points, radius }: RegionInView): { x: number; y: number; width: number; height: number } {
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
  const [left, top] = [Math.min(...xs) - radius, Math.min(...ys) - radius]
  return { x: left, y: top, width: Math.max(...xs) + radius - left, height: Math.max(...ys) + radius - top }
}
