// A question that is answered by what was done, step after step.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { LONGEST_SHORT_ANSWER, MOST_STEPS } from '../../valueLists.ts'
import { questionFields, wordLimitsSchema } from '../fieldParts.ts'

export const stepsSchemas = {
  question: object({ kind: Type.Literal('steps'), ...questionFields, words: wordLimitsSchema }),
  answer: object({
    steps: Type.Array(Type.String({ maxLength: LONGEST_SHORT_ANSWER }), { maxItems: MOST_STEPS }),
  }),
}
