// What is laid on a board anew, each in the middle and so large that it is seen.
import { boardSizes, MOST_PEN_POINTS, MOST_STROKES } from '@valise/core/pictures'
import type { Collage, CollageColour, DrawingLayer, Layer, Point, Size } from '@valise/core/pictures'

/** What can be added beside pictures. */
export const addable = ['words', 'bubble', 'shape', 'arrow', 'number'] as const
export type Addable = (typeof addable)[number]

const plain = { turn: 0, isLocked: false, group: null } as const
const writing = { words: '', font: 'text', ink: 'ink' } as const

/** Makes a layer in the centre of the board, a little off any layer that is already there. */
export function newLayer(what: Addable, id: string, { size, layers }: Collage): Layer {
  const board = boardSizes[size]
  const fraction = Math.min(board.width, board.height)
  const box = (width: number, height: number) => {
    const off = layers.length % 6
    return {
      x: (board.width - width) / 2 + off * fraction * 0.02,
      y: (board.height - height) / 2 + off * fraction * 0.02,
      width,
      height,
    }
  }
  const letters = Math.round(fraction * 0.045)
  switch (what) {
    case 'words':
      return {
        ...{ ...plain, ...writing, ...box(fraction * 0.6, letters * 1.25 * 2), id, kind: 'text' },
        ...{ size: letters, align: 'left' },
      }
    case 'bubble':
      return {
        ...{
          ...plain,
          ...writing,
          ...box(fraction * 0.42, fraction * 0.2),
          id,
          kind: 'shape',
          shape: 'speech',
        },
        ...{ fill: 'sheet', line: 'ink', lineWidth: 4, tail: [-fraction * 0.12, fraction * 0.17] },
        ...{ size: Math.round(letters * 0.8), align: 'center' },
      }
    case 'shape':
      return {
        ...{
          ...plain,
          ...writing,
          ...box(fraction * 0.36, fraction * 0.24),
          id,
          kind: 'shape',
          shape: 'rounded',
        },
        ...{ fill: 'apricot', line: null, lineWidth: 4, tail: null },
        ...{ size: Math.round(letters * 0.8), align: 'center' },
      }
    case 'arrow':
      return {
        ...{ ...plain, ...box(fraction * 0.6, fraction * 0.05), id, kind: 'arrow' },
        ...{ colour: 'tan', lineWidth: Math.round(fraction * 0.012), bend: 0, hasHead: true },
      }
    case 'number':
      return {
        ...{ ...plain, ...box(fraction * 0.065, fraction * 0.065), id, kind: 'number' },
        ...{ colour: 'petrol', note: '' },
      }
  }
}

/** Makes a drawing layer over the whole board. */
export function newDrawing(id: string, size: Size): DrawingLayer {
  return { ...plain, id, kind: 'drawing', x: 0, y: 0, width: size.width, height: size.height, strokes: [] }
}

export interface StrokeDrawn {
  /** On the board. */
  readonly points: readonly Point[]
  readonly colour: CollageColour
  /** In units of the board. */
  readonly width: number
  readonly isEraser: boolean
}

/** Strokes are stored in thousandths of their box. */
const PARTS = 1000

/**
 * Adds a stroke to the selected or topmost drawing layer, else to a new one.
 *
 * @returns the layers and the drawing layer; null where there is nothing to erase
 */
export function withStroke(
  collage: Collage,
  stroke: StrokeDrawn,
  chosen: ReadonlySet<string>,
  newId: string,
): { readonly layers: Layer[]; readonly sheetId: string } | null {
  const isSheet = (layer: Layer | undefined): layer is DrawingLayer =>
    layer?.kind === 'drawing' &&
    !layer.isLocked &&
    layer.turn === 0 &&
    (stroke.isEraser || layer.strokes.length < MOST_STROKES)
  const sheets = collage.layers.filter(isSheet)
  const topmost = collage.layers.at(-1)
  const present =
    sheets.find(({ id }) => chosen.has(id)) ??
    (stroke.isEraser ? sheets.at(-1) : isSheet(topmost) ? topmost : undefined)
  if (!present && stroke.isEraser) return null
  const sheet = present ?? newDrawing(newId, boardSizes[collage.size])
  const finished = {
    points: thinned(stroke.points).map(({ x, y }): [number, number] => [
      roundTenth(((x - sheet.x) / sheet.width) * PARTS),
      roundTenth(((y - sheet.y) / sheet.height) * PARTS),
    ]),
    colour: stroke.colour,
    width: Math.max(0.5, (stroke.width / sheet.width) * PARTS),
    isEraser: stroke.isEraser,
  }
  const drawn = { ...sheet, strokes: [...sheet.strokes, finished].slice(-MOST_STROKES) }
  const layers = present
    ? collage.layers.map((layer) => (layer.id === drawn.id ? drawn : layer))
    : [...collage.layers, drawn]
  return { layers, sheetId: drawn.id }
}

/** Points that stand closer than this say nothing about a hand's stroke, in units of the board. */
const NEAR = 1.5

function thinned(points: readonly Point[]): Point[] {
  const finished: Point[] = []
  for (const point of points) {
    const last = finished.at(-1)
    if (!last || Math.hypot(point.x - last.x, point.y - last.y) >= NEAR) finished.push(point)
  }
  const every = Math.ceil(finished.length / MOST_PEN_POINTS)
  return finished.filter((_, n) => n % every === 0)
}

function roundTenth(value: number): number {
  return Math.round(value * 10) / 10
}

/** Copies layers with a small offset; copies of a group form a new group. */
export function duplicates(layers: readonly Layer[], ids: ReadonlySet<string>, newId: () => string): Layer[] {
  const groups = new Map<string, string>()
  return layers
    .filter(({ id }) => ids.has(id))
    .map((layer) => {
      const { group } = layer
      if (group !== null && !groups.has(group)) groups.set(group, newId())
      return {
        ...layer,
        id: newId(),
        group: group === null ? null : (groups.get(group) ?? null),
        isLocked: false,
        x: layer.x + 24,
        y: layer.y + 24,
      }
    })
}
