// The self-ratings that stand in a document.
import { definitionOf, isAnswerPiece, isRatingPiece } from '../pages/index.ts'
import type { ChosenStep, PageDocument, Piece, RatedAttribute } from '../pages/index.ts'
import type { Localized } from '../people/index.ts'

/** A step that was chosen for an attribute, with why, and the evidence beside it. */
export interface RatingInDocument {
  readonly pieceId: string
  readonly attribute: RatedAttribute
  readonly name: Localized
  readonly step: ChosenStep
  readonly reason: string
  readonly evidenceIds: readonly string[]
}

/** Lists the ratings of a document in reading order; an attribute without a step is not rated yet. */
export function ratingsIn(document: PageDocument): RatingInDocument[] {
  return document.rows.flatMap(({ pieces }) =>
    pieces
      .filter(isAnswerPiece)
      .filter(isRatingPiece)
      .flatMap((piece) => {
        const { question, answer } = piece.given
        const { attribute, asks } = question
        const { step, reason } = answer
        if (attribute === null || step === null) return []
        const evidenceIds = pieces.filter((one) => one !== piece).flatMap(evidenceIn)
        return [{ pieceId: piece.id, attribute, name: asks, step, reason, evidenceIds }]
      }),
  )
}

function evidenceIn(piece: Piece): string[] {
  const references = definitionOf<Piece>(piece).references(piece)
  return references.flatMap((reference) => (reference.thing === 'evidence' ? [reference.id] : []))
}
