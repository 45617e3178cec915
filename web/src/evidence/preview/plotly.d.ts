// The few parts of Plotly that are used here; the package brings no types.
declare module 'plotly.js-basic-dist-min' {
  export interface PlotlyBasic {
    newPlot(box: HTMLElement, traces: object[], layout: object, config: object): Promise<unknown>
    purge(box: HTMLElement): void
  }
  const plotly: PlotlyBasic
  export default plotly
}
