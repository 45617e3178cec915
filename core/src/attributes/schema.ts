// Sets of attributes: the steps of one scale, and what somebody can rate themselves on by them.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { offeredFields, offeredSchemas } from '../offers/index.ts'
import type { OfferedVersion } from '../offers/index.ts'
import { MOST_SCALE_STEPS, optionSchema } from '../pages/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { object } from '../schemas/index.ts'
import { LONGEST_ATTRIBUTE_NAME, LONGEST_LOOKS, LONGEST_MEANING, MOST_ATTRIBUTES } from './valueLists.ts'

const idPattern = '^[0-9a-z]{1,16}$'

const attributeSchema = object({
  id: Type.String({ pattern: idPattern, description: 'The same in every version of its set' }),
  name: localizedDraftSchema(LONGEST_ATTRIBUTE_NAME),
  meaning: localizedDraftSchema(LONGEST_MEANING),
  looks: Type.Record(Type.String({ pattern: idPattern }), localizedDraftSchema(LONGEST_LOOKS), {
    description: 'What each step looks like, by its id',
    additionalProperties: false,
    maxProperties: MOST_SCALE_STEPS,
  }),
})
export type Attribute = Static<typeof attributeSchema>

export const attributeSetContentSchema = object({
  ...offeredFields,
  steps: Type.Array(optionSchema, { maxItems: MOST_SCALE_STEPS, description: 'The lowest first' }),
  attributes: Type.Array(attributeSchema, { maxItems: MOST_ATTRIBUTES }),
})
export type AttributeSetContent = Static<typeof attributeSetContentSchema>

export const attributeSetSchemas = offeredSchemas<AttributeSetContent>(attributeSetContentSchema)

/** A version of a set, as whoever may rate themselves by it sees it. */
export type AttributeSetVersion = OfferedVersion<AttributeSetContent>
