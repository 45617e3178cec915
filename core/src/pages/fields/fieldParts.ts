// The parts that questions of several kinds have in common, as schemas.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { localizedDraftSchema } from '../../people/index.ts'
import { nullable, object } from '../../schemas/index.ts'
import { LONGEST_ASKED, LONGEST_HINT, LONGEST_OPTION, MOST_ANSWER_WORDS } from '../valueLists.ts'

/** Made by whoever writes the question. It names the same question in every version of its sheet. */
const questionIdSchema = Type.String({ pattern: '^[0-9a-z]{1,16}$' })

/** Of every question, beside its kind. Its words may be missing only while it is written. */
export const questionFields = {
  id: questionIdSchema,
  asks: localizedDraftSchema(LONGEST_ASKED),
  hint: localizedDraftSchema(LONGEST_HINT),
  weight: Type.Enum(['must', 'should'], { description: 'Required, or recommended' }),
}

/** How much is to be written: at least so many words (0: any), at most so many (null: any). */
export const wordLimitsSchema = object({
  least: Type.Integer({ minimum: 0, maximum: MOST_ANSWER_WORDS }),
  most: nullable(Type.Integer({ minimum: 1, maximum: MOST_ANSWER_WORDS })),
})
export type WordLimits = Static<typeof wordLimitsSchema>

/** One of several answers that somebody may choose. */
export const optionSchema = object({ id: questionIdSchema, label: localizedDraftSchema(LONGEST_OPTION) })
export type Option = Static<typeof optionSchema>
