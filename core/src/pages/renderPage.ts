// A page as accessible HTML: one renderer for the editor, readers, sealed copies and exports. It writes classes only.
import { extensionOf, sizeInWords } from '../evidence/index.ts'
import type { CreditLine } from '../evidence/index.ts'
import { escapeHtml } from './escapeHtml.ts'
import { pageWords } from './pageWords.ts'
import { renderText } from './renderText.ts'
import { textOf } from './richText.ts'
import type {
  FilePiece,
  PageDocument,
  PicturePiece,
  Piece,
  Row,
  Shown,
  ShownEvidence,
  ShownVoice,
} from './schema.ts'

export interface PageView {
  readonly shown: Shown
  readonly lang: PageDocument['lang']
  /** Where a piece's rendition, or its file as it came, can be fetched. */
  address(piece: PicturePiece | FilePiece, item: ShownEvidence, what: 'screen' | 'file'): string
  /** Where a recording that speaks of the item can be heard. */
  voiceAddress(piece: PicturePiece | FilePiece, voice: ShownVoice): string
  /** Levels by which headings sink: an entry on a page stands under its own heading. */
  readonly headingShift?: number
  /** The author's own text about items that the page shows; it goes along into sealed copies. */
  readonly statements?: readonly Statement[]
}

/** What an author says about one item. */
export interface Statement {
  readonly id: string
  readonly title: string
  readonly text: string
}

/** Renders the whole page to HTML: its title, its rows, and the credits. */
export function renderPage(document: PageDocument, view: PageView): string {
  const words = pageWords(document.lang)
  const title = document.title === '' ? words.untitled : document.title
  return [
    `<article class="paper" lang="${escapeHtml(document.lang)}">`,
    `<h1>${escapeHtml(title)}</h1>`,
    renderRows(document.rows, view),
    renderStatements(document, view.statements ?? []),
    renderCredits(document, view),
    '</article>',
  ].join('')
}

/** Renders one piece without its row, as the editor shows pieces that are not being edited. */
export function renderPiece(piece: Piece, view: PageView): string {
  switch (piece.kind) {
    case 'text':
      return withLanguage(renderText(piece.text, view.headingShift), piece.lang)
    case 'picture':
      return renderPicture(piece, view)
    case 'file':
      return renderFile(piece, view)
    case 'entry':
      return renderEntry(piece.entryId, view)
    case 'line':
      return '<hr>'
  }
}

/** Returns whether a file piece plays inline, which hands its bytes to everyone who sees the page. */
export function isPlayed({ mime }: Pick<ShownEvidence, 'mime'>): boolean {
  return mime.startsWith('video/') || mime.startsWith('audio/')
}

function renderRows(rows: readonly Row[], view: PageView): string {
  return rows
    .filter(({ pieces }) => pieces.length > 0)
    .map(({ pieces }) => `<div class="row">${pieces.map((piece) => placed(piece, view)).join('')}</div>`)
    .join('')
}

function placed(piece: Piece, view: PageView): string {
  const inner = renderPiece(piece, view)
  return `<div class="piece ${piece.kind}-piece span-${piece.span}" id="piece-${escapeHtml(piece.id)}">${inner}</div>`
}

function withLanguage(html: string, lang: string | null): string {
  return lang === null ? html : `<div lang="${escapeHtml(lang)}">${html}</div>`
}

function renderPicture(piece: PicturePiece, view: PageView): string {
  const item = view.shown.evidence[piece.id]
  if (!item) return gone(view)
  if (!item.hasPicture)
    return `<figure>${card(item, view.lang)}${captionUnder(piece, item)}</figure>${voicesOf(piece, item, view)}`
  const alt = piece.isDecoration ? '' : describe(piece, item, view)
  const size = item.width && item.height ? ` width="${item.width}" height="${item.height}"` : ''
  const source = escapeHtml(view.address(piece, item, 'screen'))
  const image = `<img src="${source}" alt="${escapeHtml(alt)}"${size} decoding="async">`
  return `<figure>${image}${notesOf(item)}${captionUnder(piece, item)}</figure>${voicesOf(piece, item, view)}`
}

/** A picture that says something is never published like decoration: without a description its title stands for it. */
function describe({ alternativeText }: PicturePiece, item: ShownEvidence, view: PageView): string {
  return alternativeText || item.alternativeText || item.title || pageWords(view.lang).picture
}

/** What the numbers on the picture show, in words, in their order; a number without words keeps its place. */
function notesOf({ notes = [] }: ShownEvidence): string {
  if (notes.every((note) => note === '')) return ''
  return `<ol class="pins">${notes.map((note) => `<li>${escapeHtml(note)}</li>`).join('')}</ol>`
}

function renderFile(piece: FilePiece, view: PageView): string {
  const item = view.shown.evidence[piece.id]
  if (!item) return gone(view)
  const source = escapeHtml(view.address(piece, item, 'file'))
  const words = pageWords(view.lang)
  const label = escapeHtml(item.title || item.fileName)
  const voices = voicesOf(piece, item, view)
  if (item.mime.startsWith('video/'))
    return `<figure><video src="${source}" controls preload="metadata" aria-label="${label}"></video>${captionUnder(piece, item, item.title)}${saidIn(item, view)}</figure>${voices}`
  if (item.mime.startsWith('audio/'))
    return `<figure><audio src="${source}" controls preload="metadata" aria-label="${label}"></audio>${captionUnder(piece, item, item.title)}${saidIn(item, view)}</figure>${voices}`
  const take = piece.isOffered
    ? `<a href="${source}" download="${escapeHtml(item.fileName)}">${words.take}<span class="only-heard"> ${label}</span></a>`
    : `<small>${words.notOffered}</small>`
  return `<figure>${card(item, view.lang, take)}${captionUnder(piece, item)}</figure>${voices}`
}

function card(item: ShownEvidence, lang: string, more = ''): string {
  const sort = extensionOf(item.fileName).toUpperCase()
  const facts = [sort, sizeInWords(item.bytes, lang)].filter((fact) => fact !== '').join(', ')
  const title = escapeHtml(item.title || item.fileName)
  return `<div class="file-card"><b>${title}</b><span>${escapeHtml(facts)}</span>${more}</div>`
}

function renderEntry(entryId: string, view: PageView): string {
  const entry = view.shown.entries[entryId]
  if (!entry) return gone(view)
  const shift = (view.headingShift ?? 0) + 1
  const title = entry.title === '' ? '' : `<h${shift + 1}>${escapeHtml(entry.title)}</h${shift + 1}>`
  const [year = '', month = '', day = ''] = entry.day.split('-')
  const date = new Intl.DateTimeFormat(view.lang === 'en' ? 'en-GB' : view.lang, {
    dateStyle: 'long',
    timeZone: 'UTC',
  }).format(Date.UTC(Number(year), Number(month) - 1, Number(day)))
  // An entry shows evidence and words, never another entry, so this ends.
  const rows = entry.document.rows.map((row) => ({
    ...row,
    pieces: row.pieces.filter(({ kind }) => kind !== 'entry'),
  }))
  const when = `<p class="entry-day"><time datetime="${escapeHtml(entry.day)}">${escapeHtml(date)}</time></p>`
  return `<section class="entry">${title}${when}${renderRows(rows, { ...view, headingShift: shift })}</section>`
}

/** What is said and shown of an item by a voice: to be heard, and its moments and words to be read. */
function voicesOf(piece: PicturePiece | FilePiece, { voices = [] }: ShownEvidence, view: PageView): string {
  const words = pageWords(view.lang)
  return voices
    .map((voice, n) => {
      const label = `${words.voice} ${n + 1}`
      const source = escapeHtml(view.voiceAddress(piece, voice))
      const named = voice.moments.filter(({ words: said }) => said !== '')
      const moments = named.map(
        ({ atMs, words: said }) => `<li><time>${playTime(atMs)}</time> ${escapeHtml(said)}</li>`,
      )
      const list = moments.length === 0 ? '' : `<ul class="moments">${moments.join('')}</ul>`
      const said = saidIn(voice, view)
      return `<figure class="voice"><audio src="${source}" controls preload="metadata" aria-label="${label}"></audio><figcaption>${label}</figcaption>${list}${said}</figure>`
    })
    .join('')
}

/** What is said in a recording, for those who do not hear it. */
function saidIn({ transcript = '' }: { readonly transcript?: string }, view: PageView): string {
  if (transcript === '') return ''
  const text = renderText(textOf(...transcript.split('\n')))
  return `<details><summary>${pageWords(view.lang).transcript}</summary>${text}</details>`
}

function playTime(ms: number): string {
  const seconds = Math.floor(ms / 1000)
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

/** The piece's own caption, else the item's, else what stands in for one. */
function captionUnder(
  { caption }: PicturePiece | FilePiece,
  { caption: ofItem = '' }: ShownEvidence,
  otherwise = '',
): string {
  return captionOf(caption || ofItem || otherwise)
}

function captionOf(caption: string): string {
  return caption === '' ? '' : `<figcaption>${escapeHtml(caption)}</figcaption>`
}

function gone(view: PageView): string {
  return `<p class="gone">${pageWords(view.lang).gone}</p>`
}

function renderStatements({ lang }: PageDocument, statements: readonly Statement[]): string {
  if (statements.length === 0) return ''
  const sections = statements.map(
    ({ title, text }) => `<h3>${escapeHtml(title)}</h3>${renderText(textOf(...text.split('\n')), 2)}`,
  )
  return `<section class="statements"><h2>${pageWords(lang).statements}</h2>${sections.join('')}</section>`
}

function renderCredits(document: PageDocument, { shown }: PageView): string {
  const lines = creditsOf(document, shown).map((credit) => `<li>${renderCredit(credit, document.lang)}</li>`)
  if (lines.length === 0) return ''
  const words = pageWords(document.lang)
  return `<footer class="credits"><h2>${words.credits}</h2><ul>${lines.join('')}</ul></footer>`
}

/** Returns the credit lines of a page in reading order, without duplicates. */
export function creditsOf(document: PageDocument, shown: Shown): CreditLine[] {
  const pieces = document.rows.flatMap((row) =>
    row.pieces.flatMap((piece) => {
      const entry = piece.kind === 'entry' ? shown.entries[piece.entryId] : undefined
      return entry ? entry.document.rows.flatMap((inner) => inner.pieces) : [piece]
    }),
  )
  const lines = pieces.flatMap(({ id }) => {
    const { credit = null, creditsWithin = [] } = shown.evidence[id] ?? {}
    return [...(credit ? [credit] : []), ...creditsWithin]
  })
  return [...new Map(lines.map((line) => [JSON.stringify(line), line])).values()]
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
