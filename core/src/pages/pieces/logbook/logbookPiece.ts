// A logbook on a page: its entries as lines, each of which opens in place.
import { escapeHtml } from '../../escapeHtml.ts'
import { pageWords } from '../../pageWords.ts'
import { renderDay } from '../../renderDay.ts'
import type { Shown, ShownEntry, ShownLogbook } from '../../schema.ts'
import { COLUMNS } from '../../valueLists.ts'
import type { PieceDefinition, Rendering } from '../PieceDefinition.ts'
import { renderGone } from '../renderGone.ts'
import { withoutThings } from '../withoutThings.ts'
import type { EntryChoice, LogbookPiece } from './schema.ts'

const USUAL_MOST = 10

export const logbookPiece: PieceDefinition<LogbookPiece> = {
  ...withoutThings,
  standsInEntries: false,
  references: (piece) => [
    { thing: 'logbook', key: keyOf(piece), id: piece.logbookId, choice: choiceOf(piece) },
  ],
  documentsIn: (piece, shown) => entriesIn(piece, shown).map(({ document }) => document),
  name: (piece, shown) => logbookIn(piece, shown)?.title ?? '',
  sorts: (piece, shown) => (entriesIn(piece, shown).length > 0 ? ['entry'] : []),
  render: renderLogbook,
}

/** The newest entries first, with their days. */
export function newLogbookPiece(id: string, logbookId: string): LogbookPiece {
  const choice: EntryChoice = { order: 'newest', most: USUAL_MOST, tag: '', from: null, until: null }
  return { id, kind: 'logbook', span: COLUMNS, logbookId, ...choice, showsDays: true }
}

function choiceOf({ order, most, tag, from, until }: LogbookPiece): EntryChoice {
  return { order, most, tag, from, until }
}

/** Another choice of entries is something else to show. */
function keyOf(piece: LogbookPiece): string {
  return [piece.id, ...Object.values(choiceOf(piece)).map((value) => value ?? '')].join(' ')
}

function logbookIn(piece: LogbookPiece, { logbooks = {} }: Shown): ShownLogbook | undefined {
  return logbooks[keyOf(piece)]
}

function entriesIn(piece: LogbookPiece, shown: Shown): ShownEntry[] {
  return (logbookIn(piece, shown)?.entryIds ?? []).flatMap((id) => shown.entries[id] ?? [])
}

function renderLogbook(piece: LogbookPiece, rendering: Rendering): string {
  const { view } = rendering
  const logbook = logbookIn(piece, view.shown)
  if (!logbook) return renderGone(view)
  const level = (view.headingShift ?? 0) + 2
  const entries = entriesIn(piece, view.shown).map((entry) => renderEntry(entry, piece.showsDays, rendering))
  const inner = entries.length === 0 ? `<p>${pageWords(view.lang).noEntries}</p>` : entries.join('')
  return `<section class="logbook"><h${level}>${escapeHtml(logbook.title)}</h${level}>${inner}</section>`
}

function renderEntry({ title, day, document }: ShownEntry, showsDay: boolean, rendering: Rendering): string {
  const { view, renderWithin } = rendering
  const when = showsDay ? ` <span class="entry-day">${renderDay(day, view.lang)}</span>` : ''
  const name = escapeHtml(title === '' ? pageWords(view.lang).untitled : title)
  const words = renderWithin(document.rows, (view.headingShift ?? 0) + 1)
  return `<details class="entry"><summary>${name}${when}</summary>${words}</details>`
}
