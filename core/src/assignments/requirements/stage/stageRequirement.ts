// A stage of a guide: every question of it that is required is answered. Guides make these; no form offers them.
import { isAnswerPiece, placedPieces, progressOf } from '../../../pages/index.ts'
import type { RequirementDefinition } from '../RequirementDefinition.ts'

export const stageRequirement: RequirementDefinition<'stage', never> = {
  needs: [],
  isFromGuide: true,
  create: (id) => ({ id, kind: 'stage', weight: 'must', name: {}, questions: [] }),
  check({ questions }, { parts }) {
    const placed = parts.flatMap(({ document }) => placedPieces(document))
    const open = placed.flatMap(({ piece, row }) =>
      isAnswerPiece(piece) && progressOf(piece, row.pieces.length - 1).state !== 'there'
        ? [piece.given.question.id]
        : [],
    )
    // What was asked later than a copy was begun is asked of it only once its owner takes it up.
    const missing = questions.filter(({ id }) => open.includes(id))
    return { isThere: parts.length > 0 && missing.length === 0, missing }
  },
}
