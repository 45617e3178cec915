// A part of a sealed copy as a page of its own, and how it is shown within Valise.
import { renderPage } from '@valise/core/pages'
import type { PageView } from '@valise/core/pages'
import { pathOf } from './goingParts.ts'
import type { PinnedPart } from './sealedStore.ts'

export const PAPER_CSS = 'paper.css'

const BODY = '<body>'
const BODY_END = '</body>'
/** From where a part lies in the copy to where its files lie. */
const TO_ROOT = '../../'

export function partPath(n: number, name: string): string {
  return `parts/${n}/${name}`
}

/** Renders a part as a complete page, so that the copy can be read without Valise. */
export function renderSealedPart({ document, shown, statements, title }: PinnedPart): string {
  const view: PageView = {
    shown,
    statements,
    lang: document.lang,
    address: (_, { item, what }) => `${TO_ROOT}${pathOf(item, what)}`,
  }
  return [
    `<!doctype html><html lang="${document.lang}"><head><meta charset="utf-8">`,
    '<meta name="viewport" content="width=device-width, initial-scale=1">',
    `<title>${title.replace(/[&<>]/g, ' ')}</title>`,
    `<link rel="stylesheet" href="${TO_ROOT}${PAPER_CSS}"></head>`,
    `${BODY}${renderPage(document, view)}${BODY_END}</html>`,
  ].join('')
}

/** Returns the body of a sealed page, with the addresses under which Valise serves the files of the copy. */
export function toShownHtml(html: string, submissionId: string): string {
  const inner = html.slice(html.indexOf(BODY) + BODY.length, html.lastIndexOf(BODY_END))
  // Quotes in what people wrote are escaped, so this can only be an attribute that the renderer wrote.
  return inner.replaceAll(`"${TO_ROOT}files/`, `"/api/submissions/${submissionId}/files/`)
}
