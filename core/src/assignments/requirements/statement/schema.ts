// The student's own words about one item, enough of them.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { localizedSchema } from '../../../people/index.ts'
import { LONGEST_QUESTION, MOST_QUESTIONS, MOST_STATEMENT_WORDS } from '../../valueLists.ts'
import { countSchema, itemSchema, requirementFields, resultFields } from '../requirementFields.ts'

export const statementRequirement = {
  requirement: object({
    kind: Type.Literal('statement'),
    ...requirementFields,
    words: Type.Integer({
      minimum: 1,
      maximum: MOST_STATEMENT_WORDS,
      description: 'At least so many words',
    }),
    questions: Type.Array(localizedSchema(LONGEST_QUESTION), {
      maxItems: MOST_QUESTIONS,
      description: 'What the statement goes along; none leaves it free',
    }),
  }),
  result: object({
    ...resultFields,
    words: countSchema,
    item: Type.Union([itemSchema, Type.Null()], { description: 'The item with the most words' }),
  }),
}
