// An entry of a logbook, shown in place with its day.
import { escapeHtml } from '../../escapeHtml.ts'
import { renderDay } from '../../renderDay.ts'
import { renderGone } from '../renderGone.ts'
import { COLUMNS } from '../../valueLists.ts'
import type { PieceDefinition, Rendering } from '../PieceDefinition.ts'
import { withoutThings } from '../withoutThings.ts'
import type { EntryPiece } from './schema.ts'

export const entryPiece: PieceDefinition<EntryPiece> = {
  ...withoutThings,
  standsInEntries: false,
  references: ({ entryId }) => [{ thing: 'entry', id: entryId }],
  documentsIn: ({ entryId }, { entries }) => {
    const entry = entries[entryId]
    return entry ? [entry.document] : []
  },
  name: ({ entryId }, { entries }) => entries[entryId]?.title ?? '',
  sorts: ({ entryId }, { entries }) => (entries[entryId] ? ['entry'] : []),
  render: renderEntry,
}

export function newEntryPiece(id: string, entryId: string): EntryPiece {
  return { id, kind: 'entry', span: COLUMNS, entryId }
}

function renderEntry({ entryId }: EntryPiece, { view, renderWithin }: Rendering): string {
  const entry = view.shown.entries[entryId]
  if (!entry) return renderGone(view)
  const shift = (view.headingShift ?? 0) + 1
  const title = entry.title === '' ? '' : `<h${shift + 1}>${escapeHtml(entry.title)}</h${shift + 1}>`
  const when = `<p class="entry-day">${renderDay(entry.day, view.lang)}</p>`
  return `<section class="entry">${title}${when}${renderWithin(entry.document.rows, shift)}</section>`
}
