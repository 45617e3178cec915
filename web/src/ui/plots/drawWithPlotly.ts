// Draws with Plotly, which is fetched when the first plot is looked at; in the colours of the chosen scheme.
import type { PlotClick } from 'plotly.js-basic-dist-min'
import { styleNonce } from '../styleNonce.ts'

/** A colour by its token, such as `--ink`, as it is in the chosen scheme. */
type ColourOf = (token: string) => string

interface PlotWish {
  /** Both are asked for once the library is there. */
  readonly traces: (colourOf: ColourOf) => object[]
  readonly layout: (colourOf: ColourOf) => object
  readonly onClick?: (click: PlotClick) => void
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
export function drawWithPlotly(box: HTMLElement, { traces, layout, onClick }: PlotWish): () => void {
  let remove: (() => void) | null = null
  let isGone = false
  prepareStyles()
  void import('plotly.js-basic-dist-min').then(async ({ default: plotly }) => {
    if (isGone) return
    remove = () => plotly.purge(box)
    const colourOf: ColourOf = (token) => getComputedStyle(box).getPropertyValue(token).trim()
    const common = {
      font: { family: colourOf('--sans'), size: 12, color: colourOf('--ink') },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      showlegend: false,
    }
    const config = { displayModeBar: false, responsive: true }
    const drawn = await plotly.newPlot(box, traces(colourOf), { ...common, ...layout(colourOf) }, config)
    if (onClick) drawn.on('plotly_click', onClick)
  })
  return () => {
    isGone = true
    remove?.()
  }
}
