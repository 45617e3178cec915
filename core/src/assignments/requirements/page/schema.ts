// A page that holds certain content.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { contentSorts } from '../../../pages/index.ts'
import { MOST_WANTED_PIECES } from '../../valueLists.ts'
import { countSchema, requirementFields, resultFields } from '../requirementFields.ts'

const sort = Type.Enum([...contentSorts])

const wantedPieceSchema = object({
  sort,
  atLeast: Type.Integer({ minimum: 1, maximum: 20, description: 'At least so many' }),
})

export const pageRequirement = {
  requirement: object({
    kind: Type.Literal('page'),
    ...requirementFields,
    pieces: Type.Array(wantedPieceSchema, {
      maxItems: MOST_WANTED_PIECES,
      description: 'What one and the same page has to hold',
    }),
  }),
  result: object({
    ...resultFields,
    page: Type.Union([Type.String(), Type.Null()], {
      description: 'The title of the page that comes nearest',
    }),
    pieces: Type.Array(object({ sort, atLeast: countSchema, there: countSchema })),
  }),
}
