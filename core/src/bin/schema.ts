// What lies in the bin, and what others lose when a thing goes there.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { seenBySchema } from '../access/index.ts'
import { evidenceRowSchema } from '../evidence/index.ts'
import { thingKindSchema } from '../things/index.ts'
import { instantSchema } from '../time/index.ts'

const binnedThingSchema = object({
  kind: thingKindSchema,
  id: idSchema,
  title: Type.String(),
  binnedAt: instantSchema,
  item: nullable(evidenceRowSchema),
})
/** `item` is what lists show of evidence: its picture and its size. */
export type BinnedThing = Static<typeof binnedThingSchema>

export const binListSchema = object({
  items: Type.Array(binnedThingSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type BinList = Static<typeof binListSchema>

/** What moving a thing to the bin affects; shown before it is moved. */
export const binEffectsSchema = object({
  isPublished: Type.Boolean({
    description: 'Whether others may have seen it; false for what is never published',
  }),
  seenBy: seenBySchema,
  collections: Type.Array(Type.String(), { description: 'The titles of the collections that it lies in' }),
  chosenFor: Type.Integer({ description: 'For how many assignments it is chosen' }),
  handedIn: Type.Integer({ description: 'In how many sealed copies it went; they do not change' }),
})
export type BinEffects = Static<typeof binEffectsSchema>
