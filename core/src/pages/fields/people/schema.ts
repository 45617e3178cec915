// A question that is answered by names, such as those of a group.
import { Type } from 'typebox'
import { object } from '../../../schemas/index.ts'
import { LONGEST_NAME_GIVEN, MOST_NAMES_GIVEN } from '../../valueLists.ts'
import { questionFields } from '../fieldParts.ts'

export const peopleSchemas = {
  question: object({ kind: Type.Literal('people'), ...questionFields }),
  answer: object({
    names: Type.Array(Type.String({ maxLength: LONGEST_NAME_GIVEN }), { maxItems: MOST_NAMES_GIVEN }),
  }),
}
