// A line across the page.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { pieceFields } from '../pieceFields.ts'

export const linePieceSchema = object({ kind: Type.Literal('line'), ...pieceFields })
export type LinePiece = Static<typeof linePieceSchema>
