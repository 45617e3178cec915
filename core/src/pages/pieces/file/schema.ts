// A piece that shows an item as a file: to be played, downloaded, or only named.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { evidencePieceFields } from '../pieceFields.ts'

export const filePieceSchema = object({
  kind: Type.Literal('file'),
  ...evidencePieceFields,
  isOffered: Type.Boolean({ description: 'Whether readers may take the file as it came' }),
})
export type FilePiece = Static<typeof filePieceSchema>
