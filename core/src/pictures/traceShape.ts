// The outlines of what lies on a board: shapes that pictures are cut into, shapes of their own, bubbles with their tails.
import type { BoardDrawing } from './drawing.ts'
import type { CollageShape, PictureShape } from './valueLists.ts'

type Outline = Pick<
  BoardDrawing<never>,
  | 'beginPath'
  | 'closePath'
  | 'moveTo'
  | 'lineTo'
  | 'quadraticCurveTo'
  | 'bezierCurveTo'
  | 'arcTo'
  | 'ellipse'
  | 'rect'
>
type Spot = readonly [number, number]

/** Corners in parts of the box. */
const corners = {
  hexagon: [
    [0.25, 0],
    [0.75, 0],
    [1, 0.5],
    [0.75, 1],
    [0.25, 1],
    [0, 0.5],
  ],
  triangle: [
    [0.5, 0],
    [1, 1],
    [0, 1],
  ],
  diamond: [
    [0.5, 0],
    [1, 0.5],
    [0.5, 1],
    [0, 0.5],
  ],
  star: Array.from({ length: 10 }, (_, n): Spot => {
    const far = n % 2 === 0 ? 0.5 : 0.22
    const angle = (n * Math.PI) / 5
    return [0.5 + far * Math.sin(angle), 0.5 - far * Math.cos(angle)]
  }),
} as const satisfies Record<string, readonly Spot[]>

/** Traces an outline from (0, 0) to (width, height); the caller fills, strokes or clips with it. */
export function traceShape(
  to: Outline,
  shape: PictureShape | CollageShape,
  width: number,
  height: number,
  tail: Spot | null = null,
): void {
  switch (shape) {
    case 'box':
    case 'rectangle':
      to.beginPath()
      return to.rect(0, 0, width, height)
    case 'rounded':
      return traceRounded(to, width, height, 0.14)
    case 'ellipse':
      to.beginPath()
      return to.ellipse(width / 2, height / 2, width / 2, height / 2, 0, 0, 2 * Math.PI)
    case 'arch':
      return traceArch(to, width, height)
    case 'ticket':
      return traceTicket(to, width, height)
    case 'speech':
      return traceSpeech(to, width, height, tail)
    case 'thought':
      return traceThought(to, width, height, tail)
    default:
      return traceCorners(
        to,
        corners[shape].map(([x, y]) => [x * width, y * height]),
      )
  }
}

function traceCorners(to: Outline, spots: readonly Spot[]): void {
  to.beginPath()
  spots.forEach(([x, y], n) => (n === 0 ? to.moveTo(x, y) : to.lineTo(x, y)))
  to.closePath()
}

function traceRounded(to: Outline, width: number, height: number, fraction: number): void {
  const radius = Math.min(width, height) * fraction
  to.beginPath()
  to.moveTo(radius, 0)
  to.arcTo(width, 0, width, height, radius)
  to.arcTo(width, height, 0, height, radius)
  to.arcTo(0, height, 0, 0, radius)
  to.arcTo(0, 0, width, 0, radius)
  to.closePath()
}

function traceArch(to: Outline, width: number, height: number): void {
  const rise = Math.min(width / 2, height)
  to.beginPath()
  to.moveTo(0, height)
  to.lineTo(0, rise)
  to.bezierCurveTo(0, rise * 0.448, width * 0.224, 0, width / 2, 0)
  to.bezierCurveTo(width * 0.776, 0, width, rise * 0.448, width, rise)
  to.lineTo(width, height)
  to.closePath()
}

/** A box with a bite at the middle of its left and right edge. */
function traceTicket(to: Outline, width: number, height: number): void {
  const bite = Math.min(width, height) * 0.1
  const middle = height / 2
  to.beginPath()
  to.moveTo(0, 0)
  to.lineTo(width, 0)
  to.lineTo(width, middle - bite)
  to.quadraticCurveTo(width - bite * 1.4, middle, width, middle + bite)
  to.lineTo(width, height)
  to.lineTo(0, height)
  to.lineTo(0, middle + bite)
  to.quadraticCurveTo(bite * 1.4, middle, 0, middle - bite)
  to.closePath()
}

/** A rounded box whose edge opens where the tail leaves it; the tail is a spot from the middle of the box. */
function traceSpeech(to: Outline, width: number, height: number, tail: Spot | null): void {
  if (!tail || (Math.abs(tail[0]) < width / 2 && Math.abs(tail[1]) < height / 2))
    return traceRounded(to, width, height, 0.22)
  const radius = Math.min(width, height) * 0.22
  const [x, y] = [width / 2 + tail[0], height / 2 + tail[1]]
  const opening = Math.min(width, height) * 0.13
  // Through which edge the tail leaves: the one that its line crosses first.
  const isThroughSide = Math.abs(tail[0]) * height > Math.abs(tail[1]) * width
  const along = (length: number, at: number) =>
    Math.min(length - radius - opening, Math.max(radius + opening, at))
  const beside = along(
    isThroughSide ? height : width,
    isThroughSide
      ? height / 2 + (tail[1] * width) / 2 / Math.abs(tail[0])
      : width / 2 + (tail[0] * height) / 2 / Math.abs(tail[1]),
  )
  const edge = isThroughSide ? (tail[0] > 0 ? 'right' : 'left') : tail[1] > 0 ? 'bottom' : 'top'
  const stop = (on: string, first: Spot, second: Spot) => {
    if (edge !== on) return
    to.lineTo(...first)
    to.lineTo(x, y)
    to.lineTo(...second)
  }
  to.beginPath()
  to.moveTo(radius, 0)
  stop('top', [beside - opening, 0], [beside + opening, 0])
  to.arcTo(width, 0, width, height, radius)
  stop('right', [width, beside - opening], [width, beside + opening])
  to.arcTo(width, height, 0, height, radius)
  stop('bottom', [beside + opening, height], [beside - opening, height])
  to.arcTo(0, height, 0, 0, radius)
  stop('left', [0, beside + opening], [0, beside - opening])
  to.arcTo(0, 0, width, 0, radius)
  to.closePath()
}

/** A cloud, with two puffs on the way to where its tail leads. */
function traceThought(to: Outline, width: number, height: number, tail: Spot | null): void {
  const [rx, ry] = [width / 2, height / 2]
  const puffs = 9
  const at = (n: number, far: number): Spot => {
    const angle = (n / puffs) * 2 * Math.PI
    return [rx + rx * far * Math.cos(angle), ry + ry * far * Math.sin(angle)]
  }
  to.beginPath()
  to.moveTo(...at(0, 0.86))
  for (let n = 0; n < puffs; n += 1) to.quadraticCurveTo(...at(n + 0.5, 1.14), ...at(n + 1, 0.86))
  to.closePath()
  if (!tail) return
  const size = Math.min(width, height) * 0.075
  for (const [fraction, radius] of [
    [0.62, size],
    [0.95, size * 0.6],
  ] as const) {
    const [x, y] = [rx + outside(tail[0], rx, fraction), ry + outside(tail[1], ry, fraction)]
    to.moveTo(x + radius, y)
    to.ellipse(x, y, radius, radius, 0, 0, 2 * Math.PI)
  }

  /** The way from the cloud's edge to the tail's end, in parts. */
  function outside(whole: number, half: number, fraction: number): number {
    const edge = Math.sign(whole) * Math.min(Math.abs(whole), half * 0.7)
    return edge + (whole - edge) * fraction
  }
}
