// The frame about what is chosen: where its handles stand, and what becomes of a layer whose handle is dragged.
import { boundsOf, normalTurn } from '@valise/core/pictures'
import type { Box, Layer, Point } from '@valise/core/pictures'

/** Which way a handle lies from the middle: -1, 0 or 1 across and down. */
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

/** A spot of a turned box, told from its middle in halves of its sides. */
export function gripAt({ x, y, width, height, turn }: Box & { turn: number }, grip: Grip): Point {
  const by = turned({ x: (grip.across * width) / 2, y: (grip.down * height) / 2 }, turn)
  return { x: x + width / 2 + by.x, y: y + height / 2 + by.y }
}

/** A spot that lies from a box's middle as it is turned. */
export function spotFromMiddle(box: Box & { turn: number }, from: readonly [number, number]): Point {
  const by = turned({ x: from[0], y: from[1] }, box.turn)
  return { x: box.x + box.width / 2 + by.x, y: box.y + box.height / 2 + by.y }
}

/** The way back: what a spot of the board is from a box's middle, before it is turned. */
export function fromMiddle(box: Box & { turn: number }, { x, y }: Point): [number, number] {
  const by = turned({ x: x - box.x - box.width / 2, y: y - box.y - box.height / 2 }, -box.turn)
  return [by.x, by.y]
}

/** The layer with a handle brought to a place; what lies opposite stays. Corners keep the shape where it is held. */
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

/** How far several layers are resized together when a corner of their common box is dragged; the shape is held. */
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

/** By how much a handle above the frame turns it when it is brought to a place. */
export function turnTo(box: Box, present: number, to: Point, isStepped: boolean): number {
  const angle = (Math.atan2(to.x - box.x - box.width / 2, box.y + box.height / 2 - to.y) * 180) / Math.PI
  const wanted = isStepped ? Math.round(angle / 15) * 15 : Math.round(angle)
  return normalTurn(wanted - present)
}

/** Whether a layer lies in a box that was drawn about it. */
export function isWithin(layer: Layer, box: Box): boolean {
  const { x, y, width, height } = boundsOf(layer)
  return x >= box.x && y >= box.y && x + width <= box.x + box.width && y + height <= box.y + box.height
}

function turned({ x, y }: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180
  const [sine, cosine] = [Math.sin(angle), Math.cos(angle)]
  return { x: x * cosine - y * sine, y: x * sine + y * cosine }
}
