// Draws how ratings went over time: a solid line for each attribute with its own mark, and its name at its end.
import type { LocalDay } from '@valise/core/time'
import { drawWithPlotly } from '../ui/plots/drawWithPlotly.ts'
import { aroundDays, liftOf, spread, tickDays } from './growthPlot.ts'
import type { PlottedLine } from './growthPlot.ts'
import { markOf } from './marks.ts'

export interface GrowthWish {
  readonly lines: readonly PlottedLine[]
  /** How many lines the set has. */
  readonly count: number
  /** The names of the steps, the lowest first. */
  readonly steps: readonly string[]
  readonly dayInWords: (day: LocalDay) => string
  /** What is told of a point that is pointed at. */
  readonly tellOf: (ratingId: string) => string
  readonly onChoose: (ratingId: string) => void
}

const HEIGHT = 340
const LINE_HEIGHT = 17
/** From this many pixels on, names have a line of their own. */
const WIDE = 560

/** How much room names have, in pixels and in signs. */
interface Room {
  readonly names: number
  readonly nameLine: number
  readonly stepLine: number
  readonly days: number
}
const wide: Room = { names: 176, nameLine: 28, stepLine: 16, days: 6 }
const narrow: Room = { names: 96, nameLine: 13, stepLine: 10, days: 3 }

/** Draws a plot; returns a function that removes it. */
export function drawGrowth(box: HTMLElement, wish: GrowthWish): () => void {
  const room = box.clientWidth >= WIDE ? wide : narrow
  return drawWithPlotly(box, {
    traces: (colourOf) => tracesOf(wish, colourOf),
    layout: (colourOf) => layoutOf(wish, colourOf, room),
    onClick: ({ points: [point] }) => {
      if (typeof point?.customdata === 'string') wish.onChoose(point.customdata)
    },
  })
}

function tracesOf({ lines, count, tellOf }: GrowthWish, colourOf: (token: string) => string): object[] {
  return lines.map(({ line, name, n }) => {
    const { symbol, colour } = markOf(n)
    return {
      name: plain(name),
      x: line.points.map(({ rating }) => rating.day),
      y: line.points.map(({ place }) => place + liftOf(n, count)),
      customdata: line.points.map(({ rating }) => rating.id),
      text: line.points.map(({ rating }) => plain(tellOf(rating.id))),
      type: 'scatter',
      mode: 'lines+markers',
      hoverinfo: 'text',
      line: { color: colourOf(colour), width: 2 },
      marker: { symbol, size: 11, color: colourOf(colour), line: { width: 2, color: colourOf(colour) } },
    }
  })
}

function layoutOf(wish: GrowthWish, colourOf: (token: string) => string, room: Room): object {
  const { lines, count, steps, dayInWords } = wish
  const days = lines.flatMap(({ line }) => line.points.map(({ rating }) => rating.day))
  const ticks = tickDays(days, room.days)
  const axis = {
    ...{ gridcolor: colourOf('--line'), linecolor: colourOf('--line2') },
    ...{ zeroline: false, fixedrange: true },
  }
  const heights = lines.map(({ line, n }) => (line.points.at(-1)?.place ?? 1) + liftOf(n, count))
  const names = lines.map(({ name, n }) => wrapped(`${markOf(n).sign} ${plain(name)}`, room.nameLine))
  const highest = Math.max(...names.map((name) => name.split('<br>').length))
  const ends = spread(heights, (highest * LINE_HEIGHT * steps.length) / HEIGHT)
  return {
    height: HEIGHT + 60,
    margin: { l: 20, r: room.names, t: 18, b: 36 },
    hoverlabel: { bgcolor: colourOf('--sheet'), font: { color: colourOf('--ink') }, align: 'left' },
    xaxis: {
      ...{ ...axis, type: 'date', range: aroundDays(days) },
      ...{ tickvals: ticks, ticktext: ticks.map(dayInWords), tickangle: 0 },
    },
    yaxis: {
      ...{ ...axis, range: [0.6, steps.length + 0.4], automargin: true },
      tickvals: steps.map((_, n) => n + 1),
      ticktext: steps.map((step) => wrapped(plain(step), room.stepLine)),
    },
    annotations: lines.map(({ n }, at) => ({
      text: names[at],
      y: ends[at],
      showarrow: false,
      font: { color: colourOf(markOf(n).colour), size: 13 },
      ...{ xref: 'paper', x: 1, xanchor: 'left', xshift: 4, align: 'left' },
    })),
  }
}

/** The library reads a little HTML in its texts, and these are plain. */
function plain(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')
}

/** Breaks a text between words into lines that fit beside a plot. */
function wrapped(text: string, most: number): string {
  return text
    .split(' ')
    .reduce<string[]>((lines, word) => {
      const last = lines.at(-1)
      return last !== undefined && `${last} ${word}`.length <= most
        ? [...lines.slice(0, -1), `${last} ${word}`]
        : [...lines, word]
    }, [])
    .join('<br>')
}
