// A piece of written text.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { richTextSchema } from '../../richTextSchema.ts'
import { textLanguages } from '../../valueLists.ts'
import { pieceFields } from '../pieceFields.ts'

export const textPieceSchema = object({
  kind: Type.Literal('text'),
  ...pieceFields,
  lang: Type.Union([Type.Enum([...textLanguages]), Type.Null()]),
  text: richTextSchema,
})
export type TextPiece = Static<typeof textPieceSchema>
