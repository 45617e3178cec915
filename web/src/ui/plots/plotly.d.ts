// The few parts of Plotly that are used here; the package brings no types.
declare module 'plotly.js-basic-dist-min' {
  export interface PlotClick {
    readonly points: readonly { readonly customdata: unknown }[]
  }
  /** The element of a plot, which the library gives events. */
  export interface PlotBox extends HTMLElement {
    on(event: 'plotly_click', heard: (click: PlotClick) => void): void
  }
  export interface PlotlyBasic {
    newPlot(box: HTMLElement, traces: object[], layout: object, config: object): Promise<PlotBox>
    purge(box: HTMLElement): void
  }
  const plotly: PlotlyBasic
  export default plotly
}
