// Paints a collage: its ground, then each layer from the lowest up; the same in the editor and on the server.
import type {
  ArrowLayer,
  Collage,
  DrawingLayer,
  Layer,
  NumberLayer,
  PictureLayer,
  ShapeLayer,
  TextLayer,
} from './collageSchema.ts'
import { type BoardDrawing, MONO_FONT, SERIF_FONT, TEXT_FONT } from './drawing.ts'
import { layOutWords, LINE_HEIGHT } from './layOutWords.ts'
import { numbersOf } from './readCollage.ts'
import { traceHead, traceStroke } from './paintMarks.ts'
import type { Point } from './matrix.ts'
import type { Size } from './raster.ts'
import { traceShape } from './traceShape.ts'
import { boardSizes, type CollageColour, type CollageFont } from './valueLists.ts'

/** A picture on a board: an item at one of its versions. */
export interface ShownPicture {
  readonly evidenceId: string
  readonly n: number
}

/** What the painter needs from its environment. */
export interface Painter<I> {
  readonly drawing: BoardDrawing<I>
  /** A picture with its own size; null where it is gone, or still on its way. */
  pictureOf(wanted: ShownPicture): ({ readonly image: I } & Size) | null
  /** A clear sheet to draw and rub out on, in pixels; nothing under it is rubbed out with it. */
  clearSheet(size: Size): { readonly drawing: BoardDrawing<I>; readonly image: I }
}

export const boardColours: Readonly<Record<CollageColour, string>> = {
  ink: '#1c2b33',
  sheet: '#fffdf8',
  paper: '#f8f3e9',
  petrol: '#17384a',
  tan: '#b5703a',
  apricot: '#fad9b2',
  brick: '#96352a',
  ochre: '#ebc766',
  moss: '#40602f',
  sea: '#8fb0b6',
}

const light: ReadonlySet<CollageColour> = new Set(['sheet', 'paper', 'apricot', 'ochre', 'sea'])

const families: Readonly<Record<CollageFont, string>> = {
  text: TEXT_FONT,
  serif: SERIF_FONT,
  mono: MONO_FONT,
}

/** Returns ink or paper, whichever is readable on a colour. */
export function readableOn(colour: CollageColour): CollageColour {
  return light.has(colour) ? 'ink' : 'sheet'
}

/**
 * Paints a collage.
 *
 * @param scale pixels per unit of the board: 2 for renditions
 */
export function paintCollage<I>(painter: Painter<I>, collage: Collage, scale: number): void {
  const { drawing } = painter
  const numbers = numbersOf(collage)
  drawing.save()
  drawing.scale(scale, scale)
  paintGround(painter, collage)
  for (const layer of collage.layers) {
    drawing.save()
    drawing.translate(layer.x + layer.width / 2, layer.y + layer.height / 2)
    drawing.rotate((layer.turn * Math.PI) / 180)
    drawing.translate(-layer.width / 2, -layer.height / 2)
    paintLayer(painter, layer, numbers.indexOf(layer as NumberLayer) + 1, scale)
    drawing.restore()
  }
  drawing.restore()
}

function paintGround<I>({ drawing, pictureOf }: Painter<I>, { background, size }: Collage): void {
  const { width, height } = boardSizes[size]
  drawing.fillStyle = boardColours[background.kind === 'colour' ? background.colour : 'paper']
  drawing.fillRect(0, 0, width, height)
  const found = background.kind === 'picture' ? pictureOf(background) : null
  if (found) drawFilling(drawing, found, { width, height }, { x: 0.5, y: 0.5, zoom: 1 })
}

function paintLayer<I>(painter: Painter<I>, layer: Layer, number: number, scale: number): void {
  switch (layer.kind) {
    case 'picture':
      return paintPicture(painter, layer)
    case 'shape':
      return paintShape(painter.drawing, layer)
    case 'text':
      return paintWords(
        painter.drawing,
        layer,
        { x: 0, y: 0, width: layer.width, height: layer.height },
        'top',
      )
    case 'arrow':
      return paintArrow(painter.drawing, layer)
    case 'number':
      return paintNumber(painter.drawing, layer, number)
    case 'drawing':
      return paintStrokes(painter, layer, scale)
  }
}

function paintPicture<I>({ drawing, pictureOf }: Painter<I>, layer: PictureLayer): void {
  const { shape, width, height, focus } = layer
  const found = pictureOf(layer)
  traceShape(drawing, shape, width, height)
  if (!found) {
    drawing.fillStyle = boardColours.sea
    return drawing.fill()
  }
  drawing.clip()
  drawFilling(drawing, found, layer, focus)
}

/** Returns the crop of a picture that fills a box: as large as possible, around the owner's focus. */
export function cropShown(
  picture: Size,
  box: Size,
  { x, y, zoom }: PictureLayer['focus'],
): Size & { readonly x: number; readonly y: number } {
  const fill = Math.max(box.width / picture.width, box.height / picture.height) * zoom
  const [width, height] = [box.width / fill, box.height / fill]
  const within = (middle: number, size: number, whole: number) =>
    Math.min(whole - size, Math.max(0, middle * whole - size / 2))
  return { x: within(x, width, picture.width), y: within(y, height, picture.height), width, height }
}

function drawFilling<I>(
  drawing: BoardDrawing<I>,
  picture: { readonly image: I } & Size,
  box: Size,
  focus: PictureLayer['focus'],
): void {
  const crop = cropShown(picture, box, focus)
  drawing.drawImage(picture.image, crop.x, crop.y, crop.width, crop.height, 0, 0, box.width, box.height)
}

/** How much of a shape's box its words may take, about its middle. */
const roomForWords = { ellipse: 0.72, triangle: 0.5, diamond: 0.52, star: 0.46, thought: 0.7 } as const
const PADDING = 0.86

function paintShape<I>(drawing: BoardDrawing<I>, layer: ShapeLayer): void {
  const { shape, width, height, fill, line, lineWidth, tail } = layer
  traceShape(drawing, shape, width, height, tail as [number, number] | null)
  drawing.lineJoin = 'round'
  if (fill !== null) {
    drawing.fillStyle = boardColours[fill]
    drawing.fill()
  }
  if (line !== null && lineWidth > 0) {
    drawing.strokeStyle = boardColours[line]
    drawing.lineWidth = lineWidth
    drawing.stroke()
  }
  const fraction = shape in roomForWords ? roomForWords[shape as keyof typeof roomForWords] : PADDING
  const sink = shape === 'triangle' ? height * 0.18 : 0
  const room = {
    x: (width * (1 - fraction)) / 2,
    y: (height * (1 - fraction)) / 2 + sink,
    width: width * fraction,
    height: height * fraction,
  }
  paintWords(drawing, layer, room, 'middle')
}

interface Room extends Size {
  readonly x: number
  readonly y: number
}

function paintWords<I>(
  drawing: BoardDrawing<I>,
  { words, size, font, align, ink }: TextLayer | ShapeLayer,
  room: Room,
  from: 'top' | 'middle',
): void {
  if (words === '') return
  drawing.font = `${font === 'serif' ? 560 : 500} ${size}px "${families[font]}"`
  drawing.textAlign = align
  drawing.textBaseline = 'middle'
  drawing.fillStyle = boardColours[ink]
  const lines = layOutWords(drawing, words, room.width)
  const step = size * LINE_HEIGHT
  const x = room.x + { left: 0, center: room.width / 2, right: room.width }[align]
  const top = from === 'top' ? room.y : room.y + (room.height - lines.length * step) / 2
  lines.forEach((line, n) => drawing.fillText(line, x, top + (n + 0.5) * step))
}

/** Returns the three points of an arrow's curve, in its box. */
export function arrowPoints({ width, height, bend }: ArrowLayer): readonly [Point, Point, Point] {
  const y = height / 2
  return [
    { x: 0, y },
    { x: width / 2, y: y - bend * width },
    { x: width, y },
  ]
}

function paintArrow<I>(drawing: BoardDrawing<I>, layer: ArrowLayer): void {
  const [from, over, to] = arrowPoints(layer)
  drawing.strokeStyle = boardColours[layer.colour]
  drawing.fillStyle = boardColours[layer.colour]
  drawing.lineWidth = layer.lineWidth
  drawing.lineCap = 'round'
  drawing.lineJoin = 'round'
  drawing.beginPath()
  drawing.moveTo(from.x, from.y)
  drawing.quadraticCurveTo(over.x, over.y, to.x, to.y)
  drawing.stroke()
  if (layer.hasHead) traceHead(drawing, over, to, layer.lineWidth)
}

function paintNumber<I>(drawing: BoardDrawing<I>, { width, height, colour }: NumberLayer, n: number): void {
  const radius = Math.min(width, height) / 2
  const other = readableOn(colour)
  drawing.beginPath()
  drawing.ellipse(width / 2, height / 2, radius * 0.94, radius * 0.94, 0, 0, 2 * Math.PI)
  drawing.fillStyle = boardColours[colour]
  drawing.strokeStyle = boardColours[other]
  drawing.lineWidth = radius * 0.12
  drawing.fill()
  drawing.stroke()
  drawing.fillStyle = boardColours[other]
  drawing.font = `700 ${radius * 1.1}px "${TEXT_FONT}"`
  drawing.textAlign = 'center'
  drawing.textBaseline = 'middle'
  drawing.fillText(String(n), width / 2, height / 2 + radius * 0.06)
}

/** What strokes are measured in: thousandths of the box. */
const PARTS = 1000

function paintStrokes<I>(painter: Painter<I>, { width, height, strokes }: DrawingLayer, scale: number): void {
  if (strokes.length === 0) return
  const size = {
    width: Math.max(1, Math.ceil(width * scale)),
    height: Math.max(1, Math.ceil(height * scale)),
  }
  const { drawing, image } = painter.clearSheet(size)
  const [across, down] = [size.width / PARTS, size.height / PARTS]
  drawing.lineCap = 'round'
  drawing.lineJoin = 'round'
  for (const { points, colour, width: weight, isEraser } of strokes) {
    drawing.globalCompositeOperation = isEraser ? 'destination-out' : 'source-over'
    drawing.strokeStyle = boardColours[colour]
    drawing.lineWidth = weight * across
    traceStroke(
      drawing,
      points.map(([x, y]) => ({ x: x * across, y: y * down })),
    )
  }
  painter.drawing.drawImage(image, 0, 0, size.width, size.height, 0, 0, width, height)
}
