// A question that is answered by a day.
import { Type } from 'typebox'
import { nullable, object } from '../../../schemas/index.ts'
import { localDaySchema } from '../../../time/index.ts'
import { questionFields } from '../fieldParts.ts'

export const dateSchemas = {
  question: object({ kind: Type.Literal('date'), ...questionFields }),
  answer: object({ day: nullable(localDaySchema) }),
}
