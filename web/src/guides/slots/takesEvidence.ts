// Whether evidence stands beside an answer: as the answer itself, or with it.
import { fieldOf } from '@valise/core/pages'
import type { AnswerPiece, FieldKind } from '@valise/core/pages'

export function takesEvidence(given: AnswerPiece['given']): boolean {
  return 'accepts' in given.question || fieldOf<FieldKind>(given).takesEvidence === true
}
