// Paints marks over a picture that a recipe made: strokes, arrows, shapes, words, numbered pins.
import { type Drawing, TEXT_FONT } from './drawing.ts'
import { type Geometry, resolveGeometry } from './geometry.ts'
import { compose, mapPoint, type Matrix, type Point, scaling } from './matrix.ts'
import type { Size } from './raster.ts'
import { stepOf } from './runRecipe.ts'
import type { Mark, PictureRecipe, PinMark } from './schema.ts'
import type { MarkColour } from './valueLists.ts'

/** The colours of our own, and the rim that sets each off from what lies under it. */
const colours = {
  ink: { fill: '#1c2b33', rim: '#fffdf8' },
  sheet: { fill: '#fffdf8', rim: '#1c2b33' },
  brick: { fill: '#96352a', rim: '#fffdf8' },
  petrol: { fill: '#17384a', rim: '#fffdf8' },
  ochre: { fill: '#ebc766', rim: '#1c2b33' },
  moss: { fill: '#40602f', rim: '#fffdf8' },
} as const satisfies Record<MarkColour, object>

/** The rim on each side, as a part of a stroke's width. */
const RIM = 0.3
/** A pin's radius, as a part of the picture's longer side. */
const PIN = 0.022
const HEAD = 4.2

/**
 * Paints the marks in order, then the pins above all others, numbered from 1.
 *
 * @param result the size of the canvas, which may be smaller than the geometry says
 */
export function paintMarks(drawing: Drawing, marks: readonly Mark[], geometry: Geometry, result: Size): void {
  const toResult = compose(
    geometry.toResult,
    scaling(result.width / geometry.size.width, result.height / geometry.size.height),
  )
  for (const mark of marks) if (mark.kind !== 'pin') paintMark(drawing, mark, toResult)
  pinsOf(marks).forEach((pin, n) => paintPin(drawing, pin, n + 1, toResult, result))
}

/** Paints the marks of a recipe, where they are switched on, over the result of `runRecipe`. */
export function paintRecipeMarks(
  drawing: Drawing,
  recipe: PictureRecipe,
  original: Size,
  result: Size,
): void {
  const step = stepOf(recipe.steps, 'mark')
  if (step?.on) paintMarks(drawing, step.marks, resolveGeometry(original, recipe.steps), result)
}

export function pinsOf(marks: readonly Mark[]): PinMark[] {
  return marks.filter((mark): mark is PinMark => mark.kind === 'pin')
}

/** Returns the radius of a pin on a picture of a size, in pixels. */
export function pinRadius({ width, height }: Size): number {
  return Math.max(7, Math.max(width, height) * PIN)
}

/**
 * Returns the bounding box of a region as a Media Fragment (W3C Media Fragments URI 1.0, 4.2.2), in whole pixels of
 * the original.
 */
export function toFragment(region: NonNullable<PinMark['region']>): string {
  const [xs, ys] = [region.map(([x]) => x), region.map(([, y]) => y)]
  const [left, top] = [Math.max(0, Math.round(Math.min(...xs))), Math.max(0, Math.round(Math.min(...ys)))]
  return `xywh=${left},${top},${Math.round(Math.max(...xs)) - left},${Math.round(Math.max(...ys)) - top}`
}

type Painted = Exclude<Mark, PinMark>

function paintMark(drawing: Drawing, mark: Painted, map: Matrix): void {
  if (mark.kind === 'text') return paintText(drawing, mark, map)
  const first = mark.kind === 'pen' ? (mark.points[0] ?? [0, 0]) : mark.from
  const width = Math.max(0.8, mark.width * scaleAt(map, first))
  drawing.save()
  drawing.lineCap = 'round'
  drawing.lineJoin = 'round'
  const { fill, rim } = colours[mark.colour]
  for (const [colour, size] of [
    [rim, width * (1 + 2 * RIM)],
    [fill, width],
  ] as const) {
    drawing.strokeStyle = colour
    drawing.fillStyle = colour
    drawing.lineWidth = size
    trace(drawing, mark, map, width)
  }
  drawing.restore()
}

function trace(drawing: Drawing, mark: Exclude<Painted, { kind: 'text' }>, map: Matrix, width: number): void {
  if (mark.kind === 'pen')
    return traceStroke(
      drawing,
      mark.points.map((point) => at(map, point)),
    )
  const [from, to] = [at(map, mark.from), at(map, mark.to)]
  drawing.beginPath()
  if (mark.kind === 'ellipse') {
    const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2]
    drawing.ellipse(x, y, Math.abs(to.x - from.x) / 2, Math.abs(to.y - from.y) / 2, 0, 0, 2 * Math.PI)
  } else if (mark.kind === 'rectangle') {
    drawing.rect(
      Math.min(from.x, to.x),
      Math.min(from.y, to.y),
      Math.abs(to.x - from.x),
      Math.abs(to.y - from.y),
    )
  } else {
    drawing.moveTo(from.x, from.y)
    drawing.lineTo(to.x, to.y)
  }
  drawing.stroke()
  if (mark.kind === 'arrow') traceHead(drawing, from, to, width)
}

/** Traces a smooth stroke through the midpoints between points. */
export function traceStroke(drawing: Drawing, points: readonly Point[]): void {
  const [first, ...others] = points
  if (!first) return
  drawing.beginPath()
  drawing.moveTo(first.x, first.y)
  others.forEach((point, n) => {
    const next = others[n + 1]
    if (next) drawing.quadraticCurveTo(point.x, point.y, (point.x + next.x) / 2, (point.y + next.y) / 2)
    else drawing.lineTo(point.x, point.y)
  })
  if (others.length === 0) drawing.lineTo(first.x + 0.01, first.y)
  drawing.stroke()
}

/** Traces an arrowhead whose size follows the width of its line. */
export function traceHead(drawing: Drawing, from: Point, to: Point, width: number): void {
  const angle = Math.atan2(to.y - from.y, to.x - from.x)
  const length = Math.min(width * HEAD, Math.hypot(to.x - from.x, to.y - from.y) * 0.7)
  drawing.beginPath()
  drawing.moveTo(to.x, to.y)
  for (const side of [0.5, -0.5])
    drawing.lineTo(to.x - length * Math.cos(angle + side), to.y - length * Math.sin(angle + side))
  drawing.closePath()
  drawing.fill()
  drawing.stroke()
}

function paintText(drawing: Drawing, mark: Extract<Mark, { kind: 'text' }>, map: Matrix): void {
  const size = Math.max(4, mark.size * scaleAt(map, mark.at))
  const { x, y } = at(map, mark.at)
  const { fill, rim } = colours[mark.colour]
  drawing.save()
  drawing.font = `600 ${size}px "${TEXT_FONT}"`
  drawing.textBaseline = 'top'
  drawing.textAlign = 'left'
  drawing.lineJoin = 'round'
  drawing.lineWidth = size * 0.22
  drawing.strokeStyle = rim
  drawing.fillStyle = fill
  mark.words.split('\n').forEach((line, n) => {
    drawing.strokeText(line, x, y + n * size * 1.2)
    drawing.fillText(line, x, y + n * size * 1.2)
  })
  drawing.restore()
}

function paintPin(drawing: Drawing, pin: PinMark, n: number, map: Matrix, result: Size): void {
  const radius = pinRadius(result)
  const { x, y } = at(map, pin.at)
  drawing.save()
  if (pin.region) paintRegion(drawing, pin.region, map, radius)
  drawing.beginPath()
  drawing.ellipse(x, y, radius, radius, 0, 0, 2 * Math.PI)
  drawing.fillStyle = colours.petrol.fill
  drawing.strokeStyle = colours.petrol.rim
  drawing.lineWidth = radius * 0.22
  drawing.fill()
  drawing.stroke()
  drawing.fillStyle = colours.petrol.rim
  drawing.font = `700 ${radius * 1.2}px "${TEXT_FONT}"`
  drawing.textAlign = 'center'
  drawing.textBaseline = 'middle'
  drawing.fillText(String(n), x, y + radius * 0.06)
  drawing.restore()
}

function paintRegion(
  drawing: Drawing,
  region: NonNullable<PinMark['region']>,
  map: Matrix,
  radius: number,
): void {
  for (const [colour, size] of [
    [colours.petrol.rim, radius * 0.34],
    [colours.petrol.fill, radius * 0.18],
  ] as const) {
    drawing.strokeStyle = colour
    drawing.lineWidth = size
    drawing.lineJoin = 'round'
    drawing.beginPath()
    region.forEach((corner, n) => {
      const { x, y } = at(map, corner)
      if (n === 0) drawing.moveTo(x, y)
      else drawing.lineTo(x, y)
    })
    drawing.closePath()
    drawing.stroke()
  }
}

function at(map: Matrix, [x, y]: readonly [number, number]): Point {
  return mapPoint(map, { x, y })
}

/** How many pixels of the result one of the original is, about a place. */
function scaleAt(map: Matrix, [x, y]: readonly [number, number]): number {
  const [here, beside] = [mapPoint(map, { x, y }), mapPoint(map, { x: x + 1, y })]
  return Math.hypot(beside.x - here.x, beside.y - here.y)
}
