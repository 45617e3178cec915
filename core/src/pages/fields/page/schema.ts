// A question that is answered by pages: they are handed in beside the document that asks.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, object } from '../../../schemas/index.ts'
import { LONGEST_PAGE_TITLE, MOST_CHOSEN_PAGES } from '../../valueLists.ts'
import { questionFields } from '../fieldParts.ts'

const chosenPageSchema = object({
  id: idSchema,
  title: Type.String({ maxLength: LONGEST_PAGE_TITLE, description: 'As it was called when it was chosen' }),
})
export type ChosenPage = Static<typeof chosenPageSchema>

export const pageSchemas = {
  question: object({ kind: Type.Literal('page'), ...questionFields }),
  answer: object({ pages: Type.Array(chosenPageSchema, { maxItems: MOST_CHOSEN_PAGES }) }),
}
