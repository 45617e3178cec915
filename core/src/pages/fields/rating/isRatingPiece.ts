// Whether an answer is a self-rating.
import type { AnswerPiece, AnswerPieceOf } from '../../pieces/answer/schema.ts'

export function isRatingPiece(piece: AnswerPiece): piece is AnswerPieceOf<'rating'> {
  return piece.given.kind === 'rating'
}
