// The frame about what is chosen: where its handles stand, and what becomes of a layer whose handle is dragged.
import { boundsOf, normalTurn } from '@valise/core/pictures'
import type { Box, Layer, Point, Size } from '@valise/core/pictures'

/** The direction of a handle from the centre: -1, 0 or 1 across and down. */
export interface Grip {
  readonly across: -1 | 0 | 1
  readonly down: -1 | 0 | 1
}

export const corners: readonly Grip[] = [
  { across: -1, down: -1 },
  { across: 1, down: -1 },
  { across: 1, down: 1 },
  { across: -1, down: 1 },
]
export const sides: readonly Grip[] = [
  { across: 0, down: -1 },
  { across: 1, down: 0 },
  { across: 0, down: 1 },
  { across: -1, down: 0 },
]

const LEAST = 8

type Turned = Box & { readonly turn: number }

/** Returns a point of a turned box, given from its centre in halves of its sides. */
export function gripAt({ x, y, width, height, turn }: Box & { turn: number }, grip: Grip): Point {
  const by = turned({ x: (grip.across * width) / 2, y: (grip.down * height) / 2 }, turn)
  return { x: x + width / 2 + by.x, y: y + height / 2 + by.y }
}

/** Converts a point relative to the centre of a turned box to the board. */
export function spotFromMiddle(box: Box & { turn: number }, from: readonly [number, number]): Point {
  const by = turned({ x: from[0], y: from[1] }, box.turn)
  return { x: box.x + box.width / 2 + by.x, y: box.y + box.height / 2 + by.y }
}

/** Converts a point of the board to one relative to the centre of a box, before its turn. */
export function fromMiddle(box: Box & { turn: number }, { x, y }: Point): [number, number] {
  const by = turned({ x: x - box.x - box.width / 2, y: y - box.y - box.height / 2 }, -box.turn)
  return [by.x, by.y]
}

/**
 * Returns the layer with a handle dragged to a point; the opposite side stays. Corners keep the proportions where
 * wanted.
 */
export function dragGrip(layer: Layer, grip: Grip, to: Point, isShapeHeld: boolean): Layer {
  const { across, down } = grip
  const local = turned(
    { x: to.x - layer.x - layer.width / 2, y: to.y - layer.y - layer.height / 2 },
    -layer.turn,
  )
  const anchor = { x: (-across * layer.width) / 2, y: (-down * layer.height) / 2 }
  let width = across === 0 ? layer.width : Math.max(LEAST, (local.x - anchor.x) * across)
  let height = down === 0 ? layer.height : Math.max(LEAST, (local.y - anchor.y) * down)
  if (isShapeHeld && across !== 0 && down !== 0) {
    const by = Math.max(width / layer.width, height / layer.height)
    width = layer.width * by
    height = layer.height * by
  }
  const middle = turned(
    {
      x: across === 0 ? 0 : anchor.x + (across * width) / 2,
      y: down === 0 ? 0 : anchor.y + (down * height) / 2,
    },
    layer.turn,
  )
  const centre = { x: layer.x + layer.width / 2 + middle.x, y: layer.y + layer.height / 2 + middle.y }
  return { ...layer, x: centre.x - width / 2, y: centre.y - height / 2, width, height }
}

/** Returns the box of several layers with a corner dragged to a point; proportions are kept. */
export function dragCorner(box: Box, { across, down }: Grip, to: Point): Box {
  const anchor = {
    x: across > 0 ? box.x : box.x + box.width,
    y: down > 0 ? box.y : box.y + box.height,
  }
  const by = Math.max(
    LEAST / Math.max(box.width, box.height),
    Math.max(((to.x - anchor.x) * across) / box.width, ((to.y - anchor.y) * down) / box.height),
  )
  const [width, height] = [box.width * by, box.height * by]
  return {
    x: across > 0 ? anchor.x : anchor.x - width,
    y: down > 0 ? anchor.y : anchor.y - height,
    width,
    height,
  }
}

/** Returns the angle by which dragging the handle above the frame turns it. */
export function turnTo(box: Box, present: number, to: Point, isStepped: boolean): number {
  const angle = (Math.atan2(to.x - box.x - box.width / 2, box.y + box.height / 2 - to.y) * 180) / Math.PI
  const wanted = isStepped ? Math.round(angle / 15) * 15 : Math.round(angle)
  return normalTurn(wanted - present)
}

/** Returns whether a layer lies inside a box. */
export function isWithin(layer: Layer, box: Box): boolean {
  const { x, y, width, height } = boundsOf(layer)
  return x >= box.x && y >= box.y && x + width <= box.x + box.width && y + height <= box.y + box.height
}

function turned({ x, y }: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
  return { x: x * cosine - y * sine, y: x * sine + y * cosine }
}

/** Frames under this part of a side of the board have no room for eight handles. */
const SMALL = 0.1
/** How far outside the one handle stands then, in parts of the board's width. */
const OUTSIDE = 0.03

/** Where the frame about what is chosen stands, and its handles. */
export function layOutFrame(chosen: readonly Layer[], bounds: Box, size: Size) {
  const free = chosen.filter(({ isLocked }) => !isLocked)
  const single = chosen.length === 1 ? free[0] : undefined
  const box = single ? single : { ...bounds, turn: 0 }
  // Handles of something small would lie over each other and over it: one of them, a little outside, is enough.
  const isSmall = box.width < size.width * SMALL || box.height < size.height * SMALL
  const out = isSmall ? size.width * OUTSIDE : 0
  const roomy = {
    ...box,
    ...{ x: box.x - out, y: box.y - out, width: box.width + 2 * out, height: box.height + 2 * out },
  }
  const isLowerRight = ({ across, down }: Grip) => across === 1 && down === 1
  const grips = isSmall ? corners.filter(isLowerRight) : [...corners, ...(single ? sides : [])]
  const above = Math.min(size.width, size.height) * 0.05
  const top = gripAt(box, { across: 0, down: -1 })
  const angle = (box.turn * Math.PI) / 180
  const turnAt = { x: top.x + above * Math.sin(angle), y: top.y - above * Math.cos(angle) }
  return { single, box, roomy, grips, turnAt }
}

/** What a handle outside the frame stands for. */
export function inward(roomy: Turned, box: Turned, grip: Grip, to: Point): Point {
  const [outside, at] = [gripAt(roomy, grip), gripAt(box, grip)]
  return { x: to.x - outside.x + at.x, y: to.y - outside.y + at.y }
}
