// Draws how ratings went over time: a solid line for each attribute with its own mark, and its name at its end.
import type { LocalDay } from '@valise/core/time'
import { drawWithPlotly } from '../ui/plots/drawWithPlotly.ts'
import { liftOf, spread, tickDays } from './growthPlot.ts'
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
const NAME_HEIGHT = 17
/** Below this many pixels there is no room for names beside the plot. */
const WIDE = 560
const NAMES_WIDTH = 150

/** Draws a plot; returns a function that removes it. */
export function drawGrowth(box: HTMLElement, wish: GrowthWish): () => void {
  const isWide = box.clientWidth >= WIDE
  return drawWithPlotly(box, {
    traces: (colourOf) => tracesOf(wish, colourOf),
    layout: (colourOf) => layoutOf(wish, colourOf, isWide),
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

function layoutOf(wish: GrowthWish, colourOf: (token: string) => string, isWide: boolean): object {
  const { lines, count, steps, dayInWords } = wish
  const ticks = tickDays(lines.flatMap(({ line }) => line.points.map(({ rating }) => rating.day)))
  const axis = {
    gridcolor: colourOf('--line'),
    linecolor: colourOf('--line2'),
    zeroline: false,
    fixedrange: true,
  }
  const [height, least] = [HEIGHT, (NAME_HEIGHT * steps.length) / HEIGHT]
  const ends = spread(
    lines.map(({ line, n }) => (line.points.at(-1)?.place ?? 1) + liftOf(n, count)),
    least,
  )
  return {
    height: height + 60,
    margin: { l: 20, r: isWide ? NAMES_WIDTH : 16, t: 18, b: 36 },
    hoverlabel: { bgcolor: colourOf('--sheet'), font: { color: colourOf('--ink') }, align: 'left' },
    xaxis: { ...axis, type: 'date', tickvals: ticks, ticktext: ticks.map(dayInWords) },
    yaxis: {
      ...axis,
      range: [0.6, steps.length + 0.4],
      tickvals: steps.map((_, n) => n + 1),
      ticktext: steps.map((step) => wrapped(plain(step))),
      automargin: true,
    },
    annotations: lines.map(({ line, name, n }, at) => ({
      text: wrapped(plain(name)),
      x: line.points.at(-1)?.rating.day,
      y: ends[at],
      showarrow: false,
      font: { color: colourOf(markOf(n).colour), size: 13 },
      ...(isWide
        ? { xref: 'x', xanchor: 'left', xshift: 12, align: 'left' }
        : { xanchor: 'right', yshift: 14, xshift: 6, align: 'right' }),
    })),
  }
}

/** The library reads a little HTML in its texts, and these are plain. */
function plain(text: string): string {
  return text.replaceAll('&', '&amp;').replaceAll('<', '&lt;')
}

const LONGEST_LINE = 16

/** Breaks a text between words into lines that fit beside a plot. */
function wrapped(text: string): string {
  return text
    .split(' ')
    .reduce<string[]>((lines, word) => {
      const last = lines.at(-1)
      return last !== undefined && `${last} ${word}`.length <= LONGEST_LINE
        ? [...lines.slice(0, -1), `${last} ${word}`]
        : [...lines, word]
    }, [])
    .join('<br>')
}
