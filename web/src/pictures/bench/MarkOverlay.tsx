// Marks over the picture: painted as they will be, drawn with pointer or finger, moved and dropped by keys.
import { mapPoint, paintMarks, pinRadius, pinsOf } from '@valise/core/pictures'
import type { Box, Geometry, Mark, Matrix, Point } from '@valise/core/pictures'
import { useEffect, useRef, useState } from 'react'
import type { PointerEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { Grip } from './Grip.tsx'
import { Handle, placeOf } from './Handle.tsx'
import { boundsOfMark, isOfTool } from './marks.ts'
import { cornersOf, scaleAt } from './regions.ts'
import type { MarkTool } from './tools.ts'
import type { Marking } from './useMarking.ts'
import styles from './Handles.module.css'

interface MarkOverlayProps {
  readonly tool: MarkTool
  readonly marking: Marking
  readonly geometry: Geometry
}

/** Shorter drags are presses. */
const LEAST_DRAG = 5
/** The canvas is as fine as this, whatever the size of the picture. */
const FINE = 1600

export function MarkOverlay({ tool, marking, geometry }: MarkOverlayProps) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const [drawn, setDrawn] = useState<readonly Point[]>([])
  const { marks } = marking
  const { size } = geometry
  const shown = drawn.length > 1 ? [...marks, beingDrawn(tool, drawn, marking, geometry)] : marks
  useEffect(() => {
    const context = canvas.current?.getContext('2d')
    if (!canvas.current || !context) return
    const scale =
      Math.min(1, FINE / Math.max(size.width, size.height)) * Math.min(2, window.devicePixelRatio || 1)
    canvas.current.width = Math.round(size.width * scale)
    canvas.current.height = Math.round(size.height * scale)
    paintMarks(context, shown, geometry, canvas.current)
  })
  const begin = (event: PointerEvent<HTMLDivElement>) => {
    if (event.button !== 0) return
    event.currentTarget.setPointerCapture(event.pointerId)
    setDrawn([placeOf(event, event.currentTarget, size)])
  }
  const go = (event: PointerEvent<HTMLDivElement>) => {
    if (drawn.length === 0) return
    const to = placeOf(event, event.currentTarget, size)
    setDrawn(tool === 'draw' && marking.kind === 'pen' ? [...drawn, to] : [drawn[0] ?? to, to])
  }
  const end = (event: PointerEvent<HTMLDivElement>) => {
    const [first, last] = [drawn[0], drawn.at(-1)]
    setDrawn([])
    if (!first || !last) return
    const perPixel = size.width / event.currentTarget.getBoundingClientRect().width
    const isPress = drawn.length < 2 || Math.hypot(last.x - first.x, last.y - first.y) < LEAST_DRAG * perPixel
    if (tool === 'write') marking.write(first, geometry)
    else if (tool === 'point') marking.point(first, isPress ? null : [first, last], geometry)
    else if (!isPress || marking.kind === 'pen') marking.draw(drawn, geometry)
    else marking.choose(null)
  }
  return (
    <div
      className={styles.surface}
      data-drawing
      onPointerDown={begin}
      onPointerMove={go}
      onPointerUp={end}
      onPointerCancel={() => setDrawn([])}
    >
      <canvas ref={canvas} className={styles.lines} aria-hidden />
      {marks.map((mark, n) =>
        isOfTool(mark, tool) ? <MarkGrip key={mark.id} {...{ mark, n, marking, geometry }} /> : null,
      )}
    </div>
  )
}

/** The mark as it would be if the pointer were lifted now. */
function beingDrawn(
  tool: MarkTool,
  points: readonly Point[],
  { kind, colour, weight }: Marking,
  geometry: Geometry,
): Mark {
  const spots = cornersOf(points, geometry.toOriginal)
  const [first = [0, 0], last = [0, 0]] = [spots[0], spots.at(-1)]
  const width = Math.max(
    0.5,
    Math.max(geometry.size.width, geometry.size.height) *
      0.0022 *
      weight *
      scaleAt(geometry.toOriginal, points[0] ?? { x: 0, y: 0 }),
  )
  if (tool !== 'draw')
    return { id: 'drawn', kind: 'rectangle', from: first, to: last, colour: 'petrol', width }
  return kind === 'pen'
    ? { id: 'drawn', kind, points: spots, colour, width }
    : { id: 'drawn', kind, from: first, to: last, colour, width }
}

interface MarkGripProps {
  readonly mark: Mark
  readonly n: number
  readonly marking: Marking
  readonly geometry: Geometry
}

function MarkGrip({ mark, n, marking, geometry }: MarkGripProps) {
  const { t } = useTranslation('bench')
  const { size, toResult, toOriginal } = geometry
  const pinSize = pinRadius(size) * scaleAt(toOriginal, { x: size.width / 2, y: size.height / 2 })
  const label =
    mark.kind === 'pin'
      ? t('mark.pin', { n: pinsOf(marking.marks).findIndex(({ id }) => id === mark.id) + 1 })
      : t('mark.one', { kind: t(`mark.kinds.${mark.kind}`), n: n + 1 })
  const move = (from: Point, to: Point) => {
    const [a, b] = [mapPoint(toOriginal, from), mapPoint(toOriginal, to)]
    marking.move(mark.id, { x: b.x - a.x, y: b.y - a.y })
  }
  const ends =
    mark.kind === 'pen' || mark.kind === 'text' || mark.kind === 'pin' ? [] : (['from', 'to'] as const)
  return (
    <>
      <Grip
        label={label}
        box={boxInView(boundsOfMark(mark, pinSize), toResult)}
        size={size}
        isChosen={mark.id === marking.chosen}
        isOutlined
        onChoose={() => marking.choose(mark.id)}
        onMove={move}
        onDone={marking.done}
        onDrop={() => marking.drop(mark.id)}
      />
      {mark.id === marking.chosen
        ? ends.map((end) => {
            const [x, y] = (mark as Extract<Mark, { from: unknown }>)[end] // only those with ends come here
            return (
              <Handle
                key={end}
                label={t(`mark.ends.${end}`)}
                at={mapPoint(toResult, { x, y })}
                size={size}
                shape="edge"
                onMove={(to) => marking.moveEnd(mark.id, end, mapPoint(toOriginal, to))}
                onDone={marking.done}
              />
            )
          })
        : null}
    </>
  )
}

function boxInView(box: Box, map: Matrix): Box {
  const corners = [
    { x: box.x, y: box.y },
    { x: box.x + box.width, y: box.y },
    { x: box.x + box.width, y: box.y + box.height },
    { x: box.x, y: box.y + box.height },
  ].map((corner) => mapPoint(map, corner))
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y }
}
