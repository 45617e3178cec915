// The fields that pieces have in common, as schemas.
import { Type } from 'typebox'
import { idSchema } from '../../schemas/index.ts'
import { LONGEST_CAPTION } from '../../evidence/index.ts'
import { COLUMNS, NARROWEST } from '../valueLists.ts'

/** Made by the device that adds the part, so that it can go on without an answer. */
export const documentPartIdSchema = Type.String({ pattern: '^[0-9a-zA-Z-]{1,40}$' })

const followedVersionSchema = Type.Union([Type.Literal('follow'), Type.Integer({ minimum: 1 })], {
  description: 'The newest version each time it is published, or this one',
})

/** Of every piece, beside its kind. */
export const pieceFields = {
  id: documentPartIdSchema,
  span: Type.Integer({ minimum: NARROWEST, maximum: COLUMNS, description: 'Columns of twelve' }),
}

/** Of a piece that shows one item. */
export const evidencePieceFields = {
  ...pieceFields,
  evidenceId: idSchema,
  version: followedVersionSchema,
  caption: Type.String({ maxLength: LONGEST_CAPTION }),
}
