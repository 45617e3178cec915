// An answer to a question, which is its heading. What nobody answered is not shown to readers.
import { textIn } from '../../../people/index.ts'
import { escapeHtml } from '../../escapeHtml.ts'
import { fieldOf } from '../../fields/fieldDefinitions.ts'
import type { FieldKind } from '../../fields/fieldSchemas.ts'
import type { PieceDefinition } from '../PieceDefinition.ts'
import { withoutThings } from '../withoutThings.ts'
import type { AnswerPiece, AnswerPieceOf } from './schema.ts'

const DEEPEST_HEADING = 6

export const answerPiece: PieceDefinition<AnswerPiece> = {
  ...withoutThings,
  texts: (piece) => fieldOfPiece(piece).texts(piece.given.answer),
  plainText: (piece) => fieldOfPiece(piece).plainText(piece.given.answer, 'en'),
  name: ({ given }, _, lang) => textIn(given.question.asks, lang),
  sorts: (piece) => (fieldOfPiece(piece).plainText(piece.given.answer, 'en') === '' ? [] : ['text']),
  render(piece, { view, beside }) {
    const field = fieldOfPiece(piece)
    const isBlank = field.isBlank(piece.given.answer)
    if (isBlank && beside === 0) return ''
    const shift = view.headingShift ?? 0
    const level = Math.min(DEEPEST_HEADING, 2 + shift)
    const question = escapeHtml(textIn(piece.given.question.asks, view.lang))
    const answer = isBlank ? '' : field.render(piece.given.answer, { lang: view.lang, shift })
    return `<section class="answer"><h${level}>${question}</h${level}>${answer}</section>`
  },
}

export function isAnswerPiece(piece: { readonly kind: string }): piece is AnswerPiece {
  return piece.kind === 'answer'
}

function fieldOfPiece<K extends FieldKind>({ given }: AnswerPieceOf<K>) {
  return fieldOf<K>(given)
}
