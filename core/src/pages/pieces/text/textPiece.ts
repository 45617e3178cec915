// Written text, in the language of its page or in one of its own.
import { escapeHtml } from '../../escapeHtml.ts'
import { renderText } from '../../renderText.ts'
import { countWords, emptyText, toPlainText } from '../../richText.ts'
import type { RichText } from '../../richText.ts'
import { COLUMNS } from '../../valueLists.ts'
import type { PieceDefinition } from '../PieceDefinition.ts'
import { withoutThings } from '../withoutThings.ts'
import type { TextPiece } from './schema.ts'

export const textPiece: PieceDefinition<TextPiece> = {
  ...withoutThings,
  texts: ({ text }) => [text],
  plainText: ({ text }) => toPlainText(text),
  sorts: ({ text }) => (countWords(text) > 0 ? ['text'] : []),
  render({ text, lang }, { view }) {
    const html = renderText(text, view.headingShift)
    return lang === null ? html : `<div lang="${escapeHtml(lang)}">${html}</div>`
  },
}

/** For documents of which one text is written in a place of its own, as that of an entry. */
export function isTextPiece(piece: { readonly kind: string }): piece is TextPiece {
  return piece.kind === 'text'
}

export function newTextPiece(id: string, text: RichText = emptyText, span = COLUMNS): TextPiece {
  return { id, kind: 'text', span, lang: null, text }
}
