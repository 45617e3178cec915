// The list of the kinds of pieces, with the schema of each. The order is the one in which they are offered.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { answerPieceSchema } from './answer/schema.ts'
import { entryPieceSchema } from './entry/schema.ts'
import { filePieceSchema } from './file/schema.ts'
import { logbookPieceSchema } from './logbook/schema.ts'
import { linePieceSchema } from './line/schema.ts'
import { picturePieceSchema } from './picture/schema.ts'
import { textPieceSchema } from './text/schema.ts'

export const pieceSchemas = {
  text: textPieceSchema,
  picture: picturePieceSchema,
  file: filePieceSchema,
  entry: entryPieceSchema,
  logbook: logbookPieceSchema,
  line: linePieceSchema,
  answer: answerPieceSchema,
}

export type PieceKind = keyof typeof pieceSchemas
export type PieceOf<K extends PieceKind> = Static<(typeof pieceSchemas)[K]>
export type Piece = { [K in PieceKind]: PieceOf<K> }[PieceKind]

export const pieceSchema = Type.Unsafe<Piece>(Type.Union(Object.values(pieceSchemas)))
