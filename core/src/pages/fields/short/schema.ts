// A question that is answered in a line.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { LONGEST_SHORT_ANSWER } from '../../valueLists.ts'
import { questionFields, wordLimitsSchema } from '../fieldParts.ts'

export const shortSchemas = {
  question: object({ kind: Type.Literal('short'), ...questionFields, words: wordLimitsSchema }),
  answer: object({ text: Type.String({ maxLength: LONGEST_SHORT_ANSWER }) }),
}
