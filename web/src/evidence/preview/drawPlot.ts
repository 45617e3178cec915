// Draws a column of a data table against another one.
import { drawWithPlotly } from '../../ui/plots/drawWithPlotly.ts'

export interface PlotWish {
  /** Null counts the rows. */
  readonly across: readonly (number | null)[] | null
  readonly up: readonly (number | null)[]
  readonly names: readonly [across: string, up: string]
}

/** Draws a plot; returns a function that removes it. */
export function drawPlot(box: HTMLElement, { across, up, names }: PlotWish): () => void {
  return drawWithPlotly(box, {
    traces: (colourOf) => [
      {
        x: across ?? up.map((_, n) => n + 1),
        y: up,
        type: 'scatter',
        mode: up.length > 60 ? 'lines' : 'lines+markers',
        line: { color: colourOf('--data2'), width: 1.6 },
        marker: { symbol: 'square', size: 6, color: colourOf('--data2') },
      },
    ],
    layout: (colourOf) => {
      const axis = (title: string) => ({
        title: { text: title, standoff: 8 },
        gridcolor: colourOf('--line'),
        linecolor: colourOf('--line2'),
        zeroline: false,
        automargin: true,
      })
      return {
        margin: { l: 48, r: 10, t: 8, b: 44 },
        xaxis: axis(names[0]),
        yaxis: axis(names[1]),
      }
    },
  })
}
