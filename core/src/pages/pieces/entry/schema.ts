// A piece that shows an entry of a logbook in place.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../../../schemas/index.ts'
import { pieceFields } from '../pieceFields.ts'

export const entryPieceSchema = object({ kind: Type.Literal('entry'), ...pieceFields, entryId: idSchema })
export type EntryPiece = Static<typeof entryPieceSchema>
