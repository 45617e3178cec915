// An item shown as a picture, with its description and what its numbered pins show.
import { escapeHtml } from '../../escapeHtml.ts'
import { pageWords } from '../../pageWords.ts'
import type { Shown, ShownEvidence } from '../../schema.ts'
import type { HandOut, NewlyShown, PageView, PieceDefinition, Rendering } from '../PieceDefinition.ts'
import { renderGone } from '../renderGone.ts'
import { renderCaption, renderCard, renderVoices } from '../renderItem.ts'
import { itemOf, showsItem, voicesOf } from '../showsItem.ts'
import type { PicturePiece } from './schema.ts'

const USUAL_SPAN = 6

export const picturePiece: PieceDefinition<PicturePiece> = {
  ...showsItem,
  evidence: { accepts: ['picture', 'collage'], create: newPicturePiece },
  handsOut: (piece, shown) => {
    const item = itemOf(piece, shown)
    return item ? [screenOf(item), ...voicesOf(item)] : []
  },
  descriptions: (piece, shown) => [
    { key: piece.id, text: piece.alternativeText, isOwed: isDescriptionOwed(piece, shown) },
  ],
  withDescription: (piece, _, text) => ({ ...piece, alternativeText: text }),
  render: renderPicture,
}

function newPicturePiece(
  id: string,
  { id: evidenceId, alternativeText = '' }: NewlyShown,
  span = USUAL_SPAN,
): PicturePiece {
  const shared = { id, evidenceId, version: 'follow' as const, caption: '' }
  return { ...shared, kind: 'picture', span, alternativeText, isDecoration: false }
}

/** The original of a picture is its owner's alone. */
function screenOf(item: ShownEvidence): HandOut {
  return { name: 'screen', what: 'screen', item, isMade: item.hasPicture }
}

function isDescriptionOwed(piece: PicturePiece, shown: Shown): boolean {
  if (piece.isDecoration) return false
  return (piece.alternativeText || itemOf(piece, shown)?.alternativeText || '').trim() === ''
}

function renderPicture(piece: PicturePiece, { view }: Rendering): string {
  const item = itemOf(piece, view.shown)
  if (!item) return renderGone(view)
  const caption = renderCaption(piece, item)
  const voices = renderVoices(piece, item, view)
  const screen = screenOf(item)
  if (!screen.isMade) return `<figure>${renderCard(item, view.lang)}${caption}</figure>${voices}`
  const alt = piece.isDecoration ? '' : describe(piece, item, view)
  const size = item.width && item.height ? ` width="${item.width}" height="${item.height}"` : ''
  const source = escapeHtml(view.address(piece.id, screen))
  const image = `<img src="${source}" alt="${escapeHtml(alt)}"${size} decoding="async">`
  return `<figure>${image}${renderNotes(item)}${caption}</figure>${voices}`
}

/** A picture that says something is never published like decoration: without a description its title stands for it. */
function describe({ alternativeText }: PicturePiece, item: ShownEvidence, { lang }: PageView): string {
  return alternativeText || item.alternativeText || item.title || pageWords(lang).picture
}

/** What the numbers on the picture show, in words, in their order; a number without words keeps its place. */
function renderNotes({ notes = [] }: ShownEvidence): string {
  if (notes.every((note) => note === '')) return ''
  return `<ol class="pins">${notes.map((note) => `<li>${escapeHtml(note)}</li>`).join('')}</ol>`
}
