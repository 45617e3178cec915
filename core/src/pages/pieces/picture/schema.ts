// A piece that shows an item as a picture.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { LONGEST_ALTERNATIVE } from '../../valueLists.ts'
import { evidencePieceFields } from '../pieceFields.ts'

export const picturePieceSchema = object({
  kind: Type.Literal('picture'),
  ...evidencePieceFields,
  alternativeText: Type.String({ maxLength: LONGEST_ALTERNATIVE }),
  isDecoration: Type.Boolean({ description: 'Says nothing that the words around it do not say' }),
})
export type PicturePiece = Static<typeof picturePieceSchema>
