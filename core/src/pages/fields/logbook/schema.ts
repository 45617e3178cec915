// A question that is answered by a logbook, which stands in the row of the answer as a piece of its own.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { questionFields } from '../fieldParts.ts'

export const logbookSchemas = {
  question: object({ kind: Type.Literal('logbook'), ...questionFields }),
  answer: object({}),
}
