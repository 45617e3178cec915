// A piece that shows an entry of a logbook in place.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema } from '../../../people/index.ts'
import { pieceFields } from '../pieceFields.ts'

export const entryPieceSchema = Type.Object(
  { kind: Type.Literal('entry'), ...pieceFields, entryId: idSchema },
  { additionalProperties: false },
)
export type EntryPiece = Static<typeof entryPieceSchema>
