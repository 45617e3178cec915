// Telling questions that entries answer from others.
import { isAnswerPiece } from '../../pieces/answer/answerPiece.ts'
import type { AnswerPieceOf } from '../../pieces/answer/schema.ts'

export function isEntryQuestion(piece: { readonly kind: string }): piece is AnswerPieceOf<'entry'> {
  return isAnswerPiece(piece) && piece.given.kind === 'entry'
}
