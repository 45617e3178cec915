// A question by which somebody rates themselves on an attribute, and says why. Evidence for it stands beside it in its row.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { LONGEST_OFFERED_TITLE } from '../../../offers/index.ts'
import { localizedDraftSchema } from '../../../people/index.ts'
import { idSchema, nullable, object } from '../../../schemas/index.ts'
import { LONGEST_HINT, LONGEST_REASON, MOST_SCALE_STEPS } from '../../valueLists.ts'
import { optionSchema, questionFields, wordLimitsSchema } from '../fieldParts.ts'

/** A step of the scale, with what it looks like for this attribute. */
const ratingStepSchema = object({ ...optionSchema.properties, looks: localizedDraftSchema(LONGEST_HINT) })

/** Which attribute of which version of a set is rated. */
const ratedAttributeSchema = object({
  setId: idSchema,
  n: Type.Integer({ minimum: 1 }),
  setTitle: localizedDraftSchema(LONGEST_OFFERED_TITLE),
  id: Type.String({ pattern: '^[0-9a-z]{1,16}$' }),
})
export type RatedAttribute = Static<typeof ratedAttributeSchema>

const place = Type.Integer({ minimum: 1, maximum: MOST_SCALE_STEPS })

/** A step as it stood in its scale when it was chosen. */
export const chosenStepSchema = object({ ...optionSchema.properties, place, of: place })
export type ChosenStep = Static<typeof chosenStepSchema>

export const ratingSchemas = {
  question: object({
    kind: Type.Literal('rating'),
    ...questionFields,
    words: wordLimitsSchema,
    attribute: nullable(ratedAttributeSchema),
    steps: Type.Array(ratingStepSchema, { maxItems: MOST_SCALE_STEPS, description: 'The lowest first' }),
  }),
  answer: object({
    step: nullable(chosenStepSchema),
    reason: Type.String({ maxLength: LONGEST_REASON }),
  }),
}
