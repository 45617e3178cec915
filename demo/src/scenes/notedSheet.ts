// A notebook page on a table, photographed askew in uneven light, with somebody's name in its corner: work for the bench.
import { mapPoint, rectangleToQuad } from '@valise/core/pictures'
import { between, shape, stroke, times } from './drawing.ts'
import type { Dice, Scene } from './drawing.ts'

/** The page is 300 by 400; this is where its corners lie on the sheet that scenes are drawn on. */
const page = { width: 300, height: 400 }
const corners = [
  { x: 55, y: 17 },
  { x: 118, y: 26 },
  { x: 116, y: 108 },
  { x: 44, y: 99 },
] as const

const onTable = rectangleToQuad(page, corners)
type Spot = readonly [number, number]

/** A line through places of the page, as the camera saw it. */
function seen(places: readonly Spot[]): string {
  const points = places.map(([x, y]) => {
    const at = mapPoint(onTable, { x, y })
    return `${Math.round(at.x * 100) / 100} ${Math.round(at.y * 100) / 100}`
  })
  return `M${points.join('L')}`
}

/** Words as strokes up and down, with gaps between them. */
function words(dice: Dice, x: number, y: number, width: number, size: number): string {
  const strokes: string[] = []
  let at = x
  while (at < x + width) {
    const end = Math.min(x + width, at + size * between(dice, 2, 6))
    const line: Spot[] = []
    for (; at < end; at += size * 0.42) {
      line.push([at, y], [at + size * 0.2, y - size * (dice() < 0.25 ? 1.3 : 0.75)])
    }
    strokes.push(seen(line))
    at += size * 0.8
  }
  return strokes.join('')
}

export const notedSheet: Scene = (dice) => {
  const rules = times(13, (n) =>
    seen([
      [0, 62 + n * 25],
      [300, 62 + n * 25],
    ]),
  ).join('')
  const leaves = times(7, (n) => {
    const [side, y] = [n % 2 ? 1 : -1, 236 - n * 17]
    return seen([
      [105, y],
      [105 + side * 16, y - 14],
      [105 + side * between(dice, 24, 32), y - between(dice, 30, 38)],
    ])
  })
  const table = [
    ...times(5, (n) =>
      seen([
        [184, 118 + n * 28],
        [280, 118 + n * 28],
      ]),
    ),
    ...[184, 238, 280].map((x) =>
      seen([
        [x, 118],
        [x, 230],
      ]),
    ),
  ]
  const outline = `${seen([
    [0, 0],
    [300, 0],
    [300, 400],
    [0, 400],
  ])}z`
  const shade =
    '<linearGradient id="shade" x1="1" y1="0" x2="0" y2="1"><stop offset=".3" stop-color="#2b1c08" stop-opacity="0"/>' +
    '<stop offset="1" stop-color="#2b1c08" stop-opacity=".42"/></linearGradient>'
  return [
    shade,
    shape('#685642', 'M-40-40h240v200H-40z'),
    shape('#4a3c2c', 'M-40 20h240v1H-40zM-40 56h240v1H-40zM-40 92h240v1H-40z'),
    shape('#00000044', outline, 'transform="translate(1.5 2)"'),
    shape('#f7f0df', outline),
    stroke('#bccdd0', 0.25, rules),
    stroke(
      '#d79a86',
      0.3,
      seen([
        [34, 0],
        [34, 400],
      ]),
    ),
    stroke('#223d4c', 0.7, words(dice, 44, 52, 120, 17)),
    stroke('#223d4c', 0.45, words(dice, 44, 80, 130, 9)),
    stroke('#7a3324', 0.5, words(dice, 196, 30, 84, 10)),
    stroke(
      '#2d4a58',
      0.6,
      seen([
        [104, 252],
        [101, 200],
        [108, 124],
      ]) + leaves.join(''),
    ),
    stroke('#2d4a58', 0.4, table.join('')),
    stroke(
      '#223d4c',
      0.45,
      times(4, (n) => words(dice, 189, 138 + n * 28, 40, 9) + words(dice, 248, 138 + n * 28, 16, 9)).join(''),
    ),
    stroke(
      '#223d4c',
      0.5,
      times(4, (n) => words(dice, 44, 296 + n * 25, between(dice, 130, 190), 10)).join(''),
    ),
    shape('#d99a62', 'M116 112l22 5 2-.7-1.4-2.2-22-5z'),
    shape('url(#shade)', 'M-40-40h240v200H-40z'),
  ].join('')
}
