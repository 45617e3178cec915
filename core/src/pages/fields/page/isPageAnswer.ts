// Telling answers by pages from others.
import { isAnswerPiece } from '../../pieces/answer/answerPiece.ts'
import type { AnswerPieceOf } from '../../pieces/answer/schema.ts'

export function isPageAnswer(piece: { readonly kind: string }): piece is AnswerPieceOf<'page'> {
  return isAnswerPiece(piece) && piece.given.kind === 'page'
}
