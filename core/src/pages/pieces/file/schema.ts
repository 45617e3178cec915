// A piece that shows an item as a file: to be played, downloaded, or only named.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { LATEST_MOMENT_MS, LONGEST_MOMENT, MOST_MOMENTS } from '../../../evidence/index.ts'
import { object } from '../../../schemas/index.ts'
import { evidencePieceFields } from '../pieceFields.ts'

const markedMomentSchema = object({
  atMs: Type.Integer({ minimum: 0, maximum: LATEST_MOMENT_MS }),
  words: Type.String({ maxLength: LONGEST_MOMENT }),
})
export type MarkedMoment = Static<typeof markedMomentSchema>

export const filePieceSchema = object({
  kind: Type.Literal('file'),
  ...evidencePieceFields,
  isOffered: Type.Boolean({ description: 'Whether readers may take the file as it came' }),
  /** Of a recording: what is said in it, and when. */
  moments: Type.Optional(
    Type.Array(markedMomentSchema, { maxItems: MOST_MOMENTS, description: 'In the order of time' }),
  ),
})
export type FilePiece = Static<typeof filePieceSchema>
