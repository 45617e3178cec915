// Moving what lies on the board by pointer, with snapping, and choosing by a lasso.
import { boardSizes, boundsOf, boundsOfAll, moveLayers, snapBox, withGroups } from '@valise/core/pictures'
import type { Box, Guide, Layer, Point } from '@valise/core/pictures'
import { useRef, useState } from 'react'
import type { PointerEvent } from 'react'
import { placeOf } from '../pictures/bench/index.ts'
import { isWithin } from './frame.ts'
import type { Arranging } from './useArranging.ts'

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

export function useBoardDrag(arranging: Arranging, isSnapping: boolean) {
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
      ? snapBox(free, [{ x: 0, y: 0, ...size }, ...others.map(boundsOf)], near())
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
  const near = () => NEAR * perPixel()
  const endLasso = () => {
    if (!lasso) return
    const box = boxBetween(lasso[0], lasso[1])
    setLasso(null)
    if (Math.max(box.width, box.height) < LEAST_DRAG * perPixel()) return arranging.choose(null)
    const within = collage.layers.filter((layer) => layer.kind !== 'drawing' && isWithin(layer, box))
    arranging.chooseMany(within.map(({ id }) => id))
  }
  return { size, surface, guides, setGuides, lasso, setLasso, near, begin, go, end, endLasso }
}

export function boxBetween(one: Point, other: Point): Box {
  return {
    x: Math.min(one.x, other.x),
    y: Math.min(one.y, other.y),
    width: Math.abs(one.x - other.x),
    height: Math.abs(one.y - other.y),
  }
}
