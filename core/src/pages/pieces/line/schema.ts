// A line across the page.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { pieceFields } from '../pieceFields.ts'

export const linePieceSchema = Type.Object(
  { kind: Type.Literal('line'), ...pieceFields },
  { additionalProperties: false },
)
export type LinePiece = Static<typeof linePieceSchema>
