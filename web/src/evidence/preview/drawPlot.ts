// Draws a plot with Plotly, which is fetched when the first plot is looked at; in the colours of the chosen scheme.
import type { PlotlyBasic } from 'plotly.js-basic-dist-min'
import { styleNonce } from '../../ui/styleNonce.ts'

export interface PlotWish {
  /** Null counts the rows. */
  readonly across: readonly (number | null)[] | null
  readonly up: readonly (number | null)[]
  readonly names: readonly [across: string, up: string]
}

/** The library would make its own element for styles, which the security policy refuses; it takes one that is there. */
function prepareStyles(): void {
  const id = 'plotly.js-style-global'
  if (document.getElementById(id)) return
  const styles = document.createElement('style')
  styles.id = id
  const nonce = styleNonce()
  if (nonce) styles.nonce = nonce
  document.head.append(styles)
}

/** Draws a plot; returns a function that removes it. */
export function drawPlot(box: HTMLElement, { across, up, names }: PlotWish): () => void {
  let plotly: PlotlyBasic | null = null
  let isGone = false
  prepareStyles()
  void import('plotly.js-basic-dist-min').then(({ default: found }) => {
    if (isGone) return
    plotly = found
    const colour = (name: string) => getComputedStyle(box).getPropertyValue(name).trim()
    const axis = (title: string) => ({
      title: { text: title, standoff: 8 },
      gridcolor: colour('--line'),
      linecolor: colour('--line2'),
      zeroline: false,
      automargin: true,
    })
    return found.newPlot(
      box,
      [
        {
          x: across ?? up.map((_, n) => n + 1),
          y: up,
          type: 'scatter',
          mode: up.length > 60 ? 'lines' : 'lines+markers',
          line: { color: colour('--data2'), width: 1.6 },
          marker: { symbol: 'square', size: 6, color: colour('--data2') },
        },
      ],
      {
        font: { family: colour('--sans'), size: 12, color: colour('--ink') },
        paper_bgcolor: 'transparent',
        plot_bgcolor: 'transparent',
        margin: { l: 48, r: 10, t: 8, b: 44 },
        xaxis: axis(names[0]),
        yaxis: axis(names[1]),
        showlegend: false,
      },
      { displayModeBar: false, responsive: true },
    )
  })
  return () => {
    isGone = true
    plotly?.purge(box)
  }
}
