// A question that is answered by entries of a logbook: they stand in the row of the answer, as pieces of their own.
import { Type } from 'typebox'
import { localizedDraftSchema } from '../../../people/index.ts'
import { LONGEST_OFFERED_TITLE } from '../../../offers/index.ts'
import { idSchema, nullable, object } from '../../../schemas/index.ts'
import { MOST_PIECES_IN_ROW } from '../../valueLists.ts'
import { questionFields } from '../fieldParts.ts'

export const entrySchemas = {
  question: object({
    kind: Type.Literal('entry'),
    ...questionFields,
    sheet: nullable(object({ id: idSchema, title: localizedDraftSchema(LONGEST_OFFERED_TITLE) })),
    least: Type.Integer({ minimum: 0, maximum: MOST_PIECES_IN_ROW - 1 }),
    most: nullable(Type.Integer({ minimum: 1, maximum: MOST_PIECES_IN_ROW - 1 })),
  }),
  answer: object({}),
}
