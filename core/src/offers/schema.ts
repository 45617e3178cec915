// What somebody writes and offers to others, as lists, its author and its users see it.
import { Type } from 'typebox'
import type { Static, TSchema } from 'typebox'
import { localizedDraftSchema } from '../people/index.ts'
import type { Localized } from '../people/index.ts'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'
import type { Instant } from '../time/index.ts'
import { LONGEST_OFFERED_ABOUT, LONGEST_OFFERED_TITLE, MOST_OFFERS, offerSources } from './valueLists.ts'

/** Of the content of everything that is offered. */
export const offeredFields = {
  title: localizedDraftSchema(LONGEST_OFFERED_TITLE),
  about: localizedDraftSchema(LONGEST_OFFERED_ABOUT),
}

export interface OfferedContent {
  title: Localized
  about: Localized
}

export type OfferSource = (typeof offerSources)[number]

const offeredRowSchema = object({
  id: idSchema,
  n: Type.Integer({ minimum: 0, description: 'The newest version; 0 for one that was never published' }),
  ...offeredFields,
  size: Type.Integer({ minimum: 0, description: 'How many questions, attributes or the like it has' }),
  source: Type.Enum([...offerSources]),
  ownerName: nullable(Type.String({ description: 'Who offers it' })),
  isNewer: Type.Boolean({ description: 'Whether it was changed since it was published' }),
  mayEdit: Type.Boolean({ description: 'Whether the reader writes it' }),
})
export type OfferedRow = Static<typeof offeredRowSchema>
export const offeredListSchema = Type.Array(offeredRowSchema)

export const newOfferedSchema = object({
  title: localizedDraftSchema(LONGEST_OFFERED_TITLE),
  from: Type.Optional(Type.String({ format: 'uuid', description: 'Which one to copy' })),
})
export type NewOffered = Static<typeof newOfferedSchema>

export const offersSchema = object({
  classIds: Type.Array(idSchema, { maxItems: MOST_OFFERS }),
  isForSchool: Type.Optional(
    Type.Boolean({ description: 'For everybody at the school, which administrators decide' }),
  ),
})
export type Offers = Static<typeof offersSchema>

/** Something that is offered, as whoever writes it sees it. */
export interface OwnOffered<C extends OfferedContent> {
  id: string
  revision: number
  content: C
  n: number
  publishedAt: Instant | null
  isNewer: boolean
  offers: string[]
  isForSchool: boolean
  /** Whether the reader owns it; what the school keeps is written by all administrators. */
  isMine: boolean
  binnedAt: Instant | null
}

/** A version of it, as whoever may use it sees it. */
export interface OfferedVersion<C extends OfferedContent> {
  id: string
  n: number
  source: OfferSource
  content: C
}

/** Makes the schemas of one kind of what is offered, from that of its content. */
export function offeredSchemas<C extends OfferedContent>(content: TSchema & { readonly static?: C }) {
  return {
    own: Type.Unsafe<OwnOffered<C>>(
      object({
        id: idSchema,
        revision: Type.Integer(),
        content,
        n: Type.Integer({ minimum: 0 }),
        publishedAt: nullable(instantSchema),
        isNewer: Type.Boolean(),
        offers: Type.Array(idSchema, { maxItems: MOST_OFFERS, description: 'Classes' }),
        isForSchool: Type.Boolean(),
        isMine: Type.Boolean(),
        binnedAt: nullable(instantSchema),
      }),
    ),
    version: Type.Unsafe<OfferedVersion<C>>(
      object({
        id: idSchema,
        n: Type.Integer({ minimum: 1 }),
        source: Type.Enum([...offerSources]),
        content,
      }),
    ),
    change: Type.Unsafe<{ content: C }>(object({ content })),
  }
}
