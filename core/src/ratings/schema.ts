// Self-ratings as their owner looks at them over time.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { chosenStepSchema } from '../pages/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { thingKindSchema } from '../things/index.ts'
import { localDaySchema } from '../time/index.ts'

const MOST_AT_ONCE = 500

const ratingSchema = object({
  id: idSchema,
  thingId: idSchema,
  thingKind: thingKindSchema,
  thingTitle: Type.String({ description: 'What it stands in' }),
  pieceId: Type.String(),
  n: Type.Integer({ minimum: 1, description: 'Which one of its piece it is' }),
  day: localDaySchema,
  attributeId: Type.String(),
  name: localizedDraftSchema(Number.MAX_SAFE_INTEGER),
  step: chosenStepSchema,
  reason: Type.String(),
  evidenceIds: Type.Array(idSchema),
})
export type Rating = Static<typeof ratingSchema>

export const ratingQuerySchema = object({
  setId: idSchema,
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: MOST_AT_ONCE })),
})

export const ratingListSchema = object({ items: Type.Array(ratingSchema), next: nullable(Type.String()) })
export type RatingList = Static<typeof ratingListSchema>

/** The sets that somebody rated themselves by. */
export const ratedSetsSchema = Type.Array(
  object({
    id: idSchema,
    title: localizedDraftSchema(Number.MAX_SAFE_INTEGER),
    ratings: Type.Integer({ minimum: 1 }),
    lastDay: localDaySchema,
  }),
)
export type RatedSet = Static<typeof ratedSetsSchema>[number]
