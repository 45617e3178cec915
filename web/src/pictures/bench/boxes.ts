// Boxes that are moved and resized within a picture.
import { LEAST_CROP } from '@valise/core/pictures'
import type { Box, Point, Size } from '@valise/core/pictures'

/** A side or a corner, as on a compass. */
export type Side = 'n' | 'e' | 's' | 'w' | 'nw' | 'ne' | 'se' | 'sw'

/** Moves a box by some pixels, within the picture. */
export function moveBox(box: Box, by: Point, within: Size): Box {
  return {
    ...box,
    x: clamp(box.x + by.x, 0, within.width - box.width),
    y: clamp(box.y + by.y, 0, within.height - box.height),
  }
}

/** Resizes a box by dragging a side or corner to a point; the opposite side stays, and the proportions where held. */
export function resizeBox(box: Box, side: Side, to: Point, within: Size, ratio: number | null): Box {
  const [left, top, right, bottom] = [box.x, box.y, box.x + box.width, box.y + box.height]
  const x0 = side.includes('w') ? clamp(to.x, 0, right - LEAST_CROP) : left
  const x1 = side.includes('e') ? clamp(to.x, left + LEAST_CROP, within.width) : right
  const y0 = side.includes('n') ? clamp(to.y, 0, bottom - LEAST_CROP) : top
  const y1 = side.includes('s') ? clamp(to.y, top + LEAST_CROP, within.height) : bottom
  const free = { x: x0, y: y0, width: x1 - x0, height: y1 - y0 }
  if (ratio === null) return free
  // The corner opposite to the one that moves stays; the larger of both wishes counts, as far as there is room.
  const room = {
    width: side.includes('w') ? right : within.width - left,
    height: side.includes('n') ? bottom : within.height - top,
  }
  const width = Math.min(Math.max(free.width, free.height * ratio), room.width, room.height * ratio)
  const height = width / ratio
  return {
    x: side.includes('w') ? right - width : left,
    y: side.includes('n') ? bottom - height : top,
    width,
    height,
  }
}

/** Returns the largest box of these proportions, centred in another box. */
export function fitShape(box: Box, ratio: number): Box {
  const width = Math.min(box.width, box.height * ratio)
  const height = width / ratio
  return { x: box.x + (box.width - width) / 2, y: box.y + (box.height - height) / 2, width, height }
}

function clamp(value: number, least: number, most: number): number {
  return Math.min(Math.max(value, least), Math.max(least, most))
}
