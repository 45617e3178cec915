// Opening a PDF with its library, which is fetched when the first one is looked at.
import workerAddress from 'pdfjs-dist/build/pdf.worker.min.mjs?url'
import { getBytes } from '../../api/index.ts'

export interface OpenedPdf {
  readonly count: number
  /** Draws a page, so many pixels across; `done` gives its words. */
  draw(
    page: number,
    canvas: HTMLCanvasElement,
    width?: number,
  ): { readonly done: Promise<string>; stop(): void }
  close(): void
}

const WIDTH = 900

export async function openPdf(address: string): Promise<OpenedPdf> {
  const pdfjs = await import('pdfjs-dist')
  pdfjs.GlobalWorkerOptions.workerSrc = workerAddress
  const data = new Uint8Array(await getBytes(address))
  const task = pdfjs.getDocument({ data, isEvalSupported: false, useWasm: false, enableXfa: false })
  const pdf = await task.promise
  return {
    count: pdf.numPages,
    draw: (n, canvas, width = WIDTH) => {
      let isStopped = false
      let stop = () => undefined as void
      const done = pdf.getPage(n).then(async (page) => {
        const natural = page.getViewport({ scale: 1 })
        const viewport = page.getViewport({ scale: width / natural.width })
        canvas.width = Math.ceil(viewport.width)
        canvas.height = Math.ceil(viewport.height)
        const drawing = page.render({ canvas, viewport })
        stop = () => drawing.cancel()
        if (isStopped) stop()
        await drawing.promise
        const { items } = await page.getTextContent()
        return items.map((item) => ('str' in item ? item.str : '')).join(' ')
      })
      return {
        done,
        stop: () => {
          isStopped = true
          stop()
        },
      }
    },
    close: () => void task.destroy(),
  }
}
