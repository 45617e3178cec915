// What lies on the board, to be taken hold of: chosen, moved with snapping, resized and turned, by pointer, finger and keys.
import { boardSizes, boundsOf, boundsOfAll, moveLayers, snapBox, withGroups } from '@valise/core/pictures'
import type { Box, Guide, Layer, Point } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { KeyboardEvent, PointerEvent } from 'react'
import { handleStyles as handles, arrowStep, placeOf } from '../pictures/bench/index.ts'
import { Frame } from './Frame.tsx'
import { isWithin } from './frame.ts'
import type { Arranging } from './useArranging.ts'
import styles from './Collage.module.css'

interface BoardOverlayProps {
  readonly arranging: Arranging
  readonly nameOf: (layer: Layer) => string
  readonly isSnapping: boolean
  /** Wants to write into what is chosen. */
  readonly onWrite: () => void
}

interface Drag {
  readonly from: Point
  readonly layers: readonly Layer[]
  readonly ids: ReadonlySet<string>
  readonly hasMoved: boolean
  /** What was pressed, where it was one of several that were chosen. */
  readonly pressed: string | null
}

/** Shorter drags are presses, in CSS pixels. */
const LEAST_DRAG = 3
/** How near is near enough to snap, in CSS pixels. */
const NEAR = 7

export function BoardOverlay({ arranging, nameOf, isSnapping, onWrite }: BoardOverlayProps) {
  const { collage, ids } = arranging
  const size = boardSizes[collage.size]
  const surface = useRef<HTMLDivElement>(null)
  const drag = useRef<Drag | null>(null)
  const [guides, setGuides] = useState<readonly Guide[]>([])
  const [lasso, setLasso] = useState<readonly [Point, Point] | null>(null)
  const perPixel = () => size.width / (surface.current?.getBoundingClientRect().width ?? size.width)

  const begin = (event: PointerEvent<HTMLElement>, layer: Layer) => {
    if (event.button !== 0 || !surface.current) return
    event.stopPropagation()
    const isAdded = event.shiftKey || event.ctrlKey || event.metaKey
    const isChosen = ids.has(layer.id)
    if (isAdded || !isChosen) arranging.choose(layer.id, isAdded)
    if (isAdded) return
    event.currentTarget.setPointerCapture(event.pointerId)
    drag.current = {
      from: placeOf(event, surface.current, size),
      layers: collage.layers,
      ids: isChosen ? ids : withGroups(collage.layers, new Set([layer.id])),
      hasMoved: false,
      pressed: isChosen && ids.size > 1 ? layer.id : null,
    }
  }
  const go = (event: PointerEvent<HTMLElement>) => {
    const { current } = drag
    if (!current || !surface.current) return
    const to = placeOf(event, surface.current, size)
    const wish = { x: to.x - current.from.x, y: to.y - current.from.y }
    if (!current.hasMoved && Math.hypot(wish.x, wish.y) < LEAST_DRAG * perPixel()) return
    drag.current = { ...current, hasMoved: true }
    const moved = current.layers.filter(({ id, isLocked }) => current.ids.has(id) && !isLocked)
    const box = boundsOfAll(moved)
    if (!box) return
    const others = current.layers.filter(({ id, kind }) => !current.ids.has(id) && kind !== 'drawing')
    const free = { ...box, x: box.x + wish.x, y: box.y + wish.y }
    const snapped = isSnapping
      ? snapBox(free, [{ x: 0, y: 0, ...size }, ...others.map(boundsOf)], NEAR * perPixel())
      : { by: { x: 0, y: 0 }, guides: [] }
    setGuides(snapped.guides)
    arranging.show(
      moveLayers(current.layers, current.ids, { x: wish.x + snapped.by.x, y: wish.y + snapped.by.y }),
    )
  }
  const end = () => {
    const { current } = drag
    drag.current = null
    setGuides([])
    if (current?.hasMoved) arranging.done()
    else if (current?.pressed) arranging.choose(current.pressed)
  }
  const endLasso = () => {
    if (!lasso) return
    const box = boxBetween(lasso[0], lasso[1])
    setLasso(null)
    if (Math.max(box.width, box.height) < LEAST_DRAG * perPixel()) return arranging.choose(null)
    const within = collage.layers.filter((layer) => layer.kind !== 'drawing' && isWithin(layer, box))
    arranging.chooseMany(within.map(({ id }) => id))
  }
  return (
    <div
      ref={surface}
      className={handles.surface}
      data-board
      tabIndex={-1}
      onPointerDown={(event) => {
        if (event.button !== 0) return
        event.currentTarget.setPointerCapture(event.pointerId)
        const at = placeOf(event, event.currentTarget, size)
        setLasso([at, at])
      }}
      onPointerMove={(event) => {
        if (lasso) setLasso([lasso[0], placeOf(event, event.currentTarget, size)])
      }}
      onPointerUp={endLasso}
      onPointerCancel={() => setLasso(null)}
      onKeyDown={(event) => actByKey(event, arranging)}
    >
      {collage.layers.map((layer) => (
        <button
          key={layer.id}
          type="button"
          className={styles.layer}
          data-kind={layer.kind}
          data-chosen={ids.has(layer.id)}
          data-locked={layer.isLocked}
          aria-label={nameOf(layer)}
          aria-pressed={ids.has(layer.id)}
          style={{
            left: `${(layer.x / size.width) * 100}%`,
            top: `${(layer.y / size.height) * 100}%`,
            width: `${(layer.width / size.width) * 100}%`,
            height: `${(layer.height / size.height) * 100}%`,
            transform: `rotate(${layer.turn}deg)`,
          }}
          onFocus={(event) => {
            if (event.currentTarget.matches(':focus-visible') && !ids.has(layer.id))
              arranging.choose(layer.id)
          }}
          onPointerDown={(event) => begin(event, layer)}
          onPointerMove={go}
          onPointerUp={end}
          onPointerCancel={end}
          onDoubleClick={onWrite}
          onClick={(event) => {
            // By keys: Enter writes, with Shift it chooses one more.
            if (event.detail !== 0) return
            if (event.shiftKey) arranging.choose(layer.id, true)
            else onWrite()
          }}
          onKeyDown={(event) => {
            const step = arrowStep(event)
            if (!step) return
            event.preventDefault()
            arranging.move(step)
          }}
          onKeyUp={(event) => {
            if (event.key.startsWith('Arrow')) arranging.done()
          }}
        />
      ))}
      <Frame
        arranging={arranging}
        size={size}
        isSnapping={isSnapping}
        near={() => NEAR * perPixel()}
        onGuides={setGuides}
      />
      <svg className={handles.lines} viewBox={`0 0 ${size.width} ${size.height}`} aria-hidden>
        {guides.map(({ along, at, from, to }) => (
          <line
            key={`${along}${at}`}
            className={styles.guide}
            {...(along === 'down'
              ? { x1: at, x2: at, y1: from, y2: to }
              : { x1: from, x2: to, y1: at, y2: at })}
          />
        ))}
        {lasso ? <rect className={styles.lasso} {...boxBetween(lasso[0], lasso[1])} /> : null}
      </svg>
    </div>
  )
}

function boxBetween(one: Point, other: Point): Box {
  return {
    x: Math.min(one.x, other.x),
    y: Math.min(one.y, other.y),
    width: Math.abs(one.x - other.x),
    height: Math.abs(one.y - other.y),
  }
}

/** What keys do with all that is chosen; undo and redo have keys of their own. */
function actByKey(event: KeyboardEvent, arranging: Arranging): void {
  const isWithControl = event.ctrlKey || event.metaKey
  const act = isWithControl
    ? {
        a: () => arranging.chooseMany(arranging.collage.layers.map(({ id }) => id)),
        d: arranging.duplicate,
        g: event.shiftKey ? arranging.ungroup : arranging.group,
      }[event.key.toLowerCase()]
    : {
        Delete: arranging.drop,
        Backspace: arranging.drop,
        PageUp: () => arranging.order(event.shiftKey ? 'nearest' : 'nearer'),
        PageDown: () => arranging.order(event.shiftKey ? 'furthest' : 'further'),
        Escape: () => arranging.choose(null),
      }[event.key]
  if (!act || event.altKey) return
  event.preventDefault()
  act()
  // What was taken off had the keys; they stay on the board.
  if (act === arranging.drop && event.currentTarget instanceof HTMLElement) event.currentTarget.focus()
}
