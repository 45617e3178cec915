// A page as accessible HTML: one renderer for the editor, readers, sealed copies and exports. It writes classes only.
import type { CreditLine } from '../evidence/index.ts'
import { escapeHtml } from './escapeHtml.ts'
import { pageWords } from './pageWords.ts'
import { nothingShown } from './parts.ts'
import { creditsOf } from './pieces.ts'
import { definitionOf } from './pieces/pieceDefinitions.ts'
import type { PageView, Statement } from './pieces/PieceDefinition.ts'
import { renderText } from './renderText.ts'
import { textOf } from './richText.ts'
import type { Piece } from './pieces/pieceSchemas.ts'
import type { PageDocument, Row } from './schema.ts'

/** Renders the whole page to HTML: its title, its rows, and the credits. */
export function renderPage(document: PageDocument, view: PageView): string {
  const words = pageWords(document.lang)
  const title = document.title === '' ? words.untitled : document.title
  return [
    `<article class="paper" lang="${escapeHtml(document.lang)}">`,
    `<h1>${escapeHtml(title)}</h1>`,
    renderRows(document.rows, view),
    renderStatements(document, view),
    renderCredits(document, view),
    '</article>',
  ].join('')
}

/** Renders one row without the frame of a page. */
export function renderRow(row: Row, view: PageView): string {
  return renderRows([row], view)
}

/** Renders one piece without its row, as the editor shows pieces that are not being edited. */
export function renderPiece(piece: Piece, view: PageView, beside = 0): string {
  return definitionOf(piece).render(piece, {
    view,
    beside,
    renderWithin: (rows, headingShift) => renderRows(rows.map(onlyForEntries), { ...view, headingShift }),
  })
}

/** What cannot stand in an entry is left out, so rendering ends. */
function onlyForEntries(row: Row): Row {
  return { ...row, pieces: row.pieces.filter((piece) => definitionOf(piece).standsInEntries) }
}

/** Where rows have headings, what stands in them has its own headings below. */
function renderRows(rows: readonly Row[], view: PageView): string {
  const shift = view.headingShift ?? 0
  const hasHeadings = rows.some(({ heading }) => heading !== undefined)
  const within = hasHeadings ? { ...view, headingShift: shift + 1 } : view
  return rows
    .map(({ heading, pieces }) => {
      const inner = pieces.map((piece) => placed(piece, within, pieces.length - 1)).join('')
      const title = heading === undefined ? '' : `<h${2 + shift}>${escapeHtml(heading)}</h${2 + shift}>`
      return `${title}${inner === '' ? '' : `<div class="row">${inner}</div>`}`
    })
    .join('')
}

function placed(piece: Piece, view: PageView, beside: number): string {
  const inner = renderPiece(piece, view, beside)
  if (inner === '') return ''
  return `<div class="piece ${piece.kind}-piece span-${piece.span}" id="piece-${escapeHtml(piece.id)}">${inner}</div>`
}

function renderStatements({ lang }: PageDocument, view: PageView): string {
  const { statements = [] } = view
  if (statements.length === 0) return ''
  const sections = statements.map((one) => `<h3>${escapeHtml(one.title)}</h3>${renderStatement(one, view)}`)
  return `<section class="statements"><h2>${pageWords(lang).statements}</h2>${sections.join('')}</section>`
}

/** What was written as a document has its own language, and its headings below the title of the item. */
function renderStatement({ text, document }: Statement, view: PageView): string {
  if (!document) return renderText(textOf(...text.split('\n')), 2)
  const { lang, rows } = document
  const told = renderRows(rows, { ...view, lang, shown: nothingShown, headingShift: 2 })
  return `<div lang="${escapeHtml(lang)}">${told}</div>`
}

function renderCredits(document: PageDocument, { shown }: PageView): string {
  const lines = creditsOf(document, shown).map((credit) => `<li>${renderCredit(credit, document.lang)}</li>`)
  if (lines.length === 0) return ''
  const words = pageWords(document.lang)
  return `<footer class="credits"><h2>${words.credits}</h2><ul>${lines.join('')}</ul></footer>`
}

function renderCredit(credit: CreditLine, lang: PageDocument['lang']): string {
  const words = pageWords(lang)
  const linked = (text: string, address: string | null) =>
    address === null
      ? escapeHtml(text)
      : `<a href="${escapeHtml(address)}" rel="noopener noreferrer">${escapeHtml(text)}</a>`
  const licence =
    credit.licence === 'public-domain' || credit.licence === 'permission'
      ? words.licence[credit.licence]
      : linked(credit.licenceName ?? credit.licence, credit.licenceAddress)
  const title = linked(credit.title, credit.sourceAddress)
  const source = credit.sourceAddress === null ? `, ${escapeHtml(credit.source)}` : ''
  return `${title} ${words.by} ${escapeHtml(credit.maker)}${source}, ${licence}`
}
