// A question that is answered by choosing.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { MOST_OPTIONS } from '../../valueLists.ts'
import { optionSchema, questionFields } from '../fieldParts.ts'

export const choiceSchemas = {
  question: object({
    kind: Type.Literal('choice'),
    ...questionFields,
    several: Type.Boolean({ description: 'Whether more than one may be chosen' }),
    options: Type.Array(optionSchema, { maxItems: MOST_OPTIONS }),
  }),
  answer: object({
    chosen: Type.Array(optionSchema, {
      maxItems: MOST_OPTIONS,
      description: 'As they read when they were chosen, since the sheet may drop them',
    }),
  }),
}
