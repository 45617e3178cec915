// A piece that shows entries of a logbook, each to be opened in place: which of them, and in which order.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { LONGEST_TAG } from '../../../evidence/index.ts'
import { idSchema, nullable, object } from '../../../schemas/index.ts'
import { localDaySchema } from '../../../time/index.ts'
import { logbookOrders, MOST_ENTRIES_SHOWN } from '../../valueLists.ts'
import { pieceFields } from '../pieceFields.ts'

/** Which entries of a logbook are shown. */
const entryChoice = {
  order: Type.Enum([...logbookOrders], { description: 'By day' }),
  most: Type.Integer({ minimum: 1, maximum: MOST_ENTRIES_SHOWN }),
  tag: Type.String({ maxLength: LONGEST_TAG, description: 'Those with this tag; all where it is empty' }),
  from: nullable(localDaySchema),
  until: nullable(localDaySchema),
}

export const logbookPieceSchema = object({
  kind: Type.Literal('logbook'),
  ...pieceFields,
  logbookId: idSchema,
  ...entryChoice,
  showsDays: Type.Boolean(),
})
export type LogbookPiece = Static<typeof logbookPieceSchema>
export type EntryChoice = Pick<LogbookPiece, keyof typeof entryChoice>
