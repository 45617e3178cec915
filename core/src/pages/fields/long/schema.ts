// A question that is answered in paragraphs.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { richTextSchema } from '../../richTextSchema.ts'
import { questionFields, wordLimitsSchema } from '../fieldParts.ts'

export const longSchemas = {
  question: object({ kind: Type.Literal('long'), ...questionFields, words: wordLimitsSchema }),
  answer: object({ text: richTextSchema }),
}
