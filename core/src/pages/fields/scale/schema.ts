// A question that is answered by a step of a scale, and why.
import { Type } from 'typebox'
import { nullable, object } from '../../../schemas/index.ts'
import { LONGEST_REASON, MOST_SCALE_STEPS } from '../../valueLists.ts'
import { optionSchema, questionFields, wordLimitsSchema } from '../fieldParts.ts'

export const scaleSchemas = {
  question: object({
    kind: Type.Literal('scale'),
    ...questionFields,
    words: wordLimitsSchema,
    steps: Type.Array(optionSchema, { maxItems: MOST_SCALE_STEPS, description: 'The lowest first' }),
  }),
  answer: object({
    /** As it read when it was chosen. */
    step: nullable(optionSchema),
    reason: Type.String({ maxLength: LONGEST_REASON }),
  }),
}
