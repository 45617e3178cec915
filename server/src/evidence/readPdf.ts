// A PDF: its words page by page, and its first page as a picture.
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import type { DocumentBlock, PreviewProblem } from '@valise/core/evidence'

export interface ReadPdf {
  readonly blocks: DocumentBlock[]
  readonly pages: number | null
  readonly picture: Uint8Array | null
  readonly problem: PreviewProblem | null
}

const PICTURE_WIDTH = 1240
/** Of a book, this many pages are enough to find it by. */
const MOST_PAGES = 300

export async function readPdf(content: Buffer): Promise<ReadPdf> {
  const pdfjs = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const own = dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'))
  const task = pdfjs.getDocument({
    data: new Uint8Array(content),
    standardFontDataUrl: `${join(own, 'standard_fonts')}/`,
    cMapUrl: `${join(own, 'cmaps')}/`,
    wasmUrl: `${join(own, 'wasm')}/`,
    useSystemFonts: false,
    isEvalSupported: false,
    stopAtErrors: false,
    verbosity: 0,
  })
  try {
    const pdf = await task.promise
    const blocks: DocumentBlock[] = []
    for (let n = 1; n <= Math.min(pdf.numPages, MOST_PAGES); n += 1) {
      const page = await pdf.getPage(n)
      blocks.push(...linesOf((await page.getTextContent()).items as TextItem[]))
      page.cleanup()
    }
    return { blocks, pages: pdf.numPages, picture: await drawFirstPage(pdf), problem: null }
  } catch (error) {
    return { blocks: [], pages: null, picture: null, problem: problemOf(error) }
  } finally {
    await task.destroy()
  }
}

/** A piece of text as the library tells it; markers of structure have no words. */
interface TextItem {
  readonly str?: string
  readonly hasEOL?: boolean
}

function linesOf(items: readonly TextItem[]): DocumentBlock[] {
  const text = items.map(({ str = '', hasEOL }) => str + (hasEOL ? '\n' : '')).join('')
  return text
    .split('\n')
    .map((line) => line.replaceAll('\0', '').trim())
    .filter((line) => line !== '')
    .map((line): DocumentBlock => ({ kind: 'paragraph', text: line.toWellFormed() }))
}

async function drawFirstPage(pdf: import('pdfjs-dist').PDFDocumentProxy): Promise<Uint8Array | null> {
  const page = await pdf.getPage(1)
  const scale = PICTURE_WIDTH / page.getViewport({ scale: 1 }).width
  const viewport = page.getViewport({ scale })
  // A page may claim to be as long as a street.
  const height = Math.min(Math.ceil(viewport.height), PICTURE_WIDTH * 4)
  const factory = pdf.canvasFactory as CanvasFactory
  const drawing = factory.create(PICTURE_WIDTH, height)
  await page.render({ canvas: null, canvasContext: drawing.context, viewport, background: '#ffffff' }).promise
  return drawing.canvas.toBuffer('image/png')
}

/** What the library draws on where there is no browser. */
interface CanvasFactory {
  create(
    width: number,
    height: number,
  ): {
    readonly canvas: { toBuffer(type: 'image/png'): Uint8Array }
    readonly context: never
  }
}

function problemOf(error: unknown): PreviewProblem {
  return error instanceof Error && error.name === 'PasswordException' ? 'document-locked' : 'document-damaged'
}
