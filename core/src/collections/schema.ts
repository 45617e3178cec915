// A collection: an ordered list of pages, dividers and other collections; nested, they make a tree.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { sharedKindSchema, sharedKinds } from '../things/index.ts'
import { instantSchema } from '../time/index.ts'
import { LONGEST_COLLECTION_TITLE, LONGEST_DIVIDER, MOST_COLLECTION_OPERATIONS } from './valueLists.ts'

const title = Type.String({ maxLength: LONGEST_COLLECTION_TITLE })
const dividerTitle = Type.String({ maxLength: LONGEST_DIVIDER })
const shared = {
  id: idSchema,
  isHidden: Type.Boolean({ description: 'Hidden here for now; in other collections it may be shown' }),
}

const collectionItemSchema = Type.Union([
  object({ ...shared, kind: Type.Literal('thing'), thingId: idSchema }),
  object({ ...shared, kind: Type.Literal('divider'), title: dividerTitle }),
])
export type CollectionItem = Static<typeof collectionItemSchema>

/** The editable content of a collection: its title and its items in order. */
export interface Arrangement {
  title: string
  items: CollectionItem[]
}

const after = nullable(idSchema)
const collectionOperationSchema = Type.Union([
  object({ op: Type.Literal('set-title'), title }),
  object({ op: Type.Literal('insert'), item: collectionItemSchema, after }),
  object({ op: Type.Literal('move'), id: idSchema, after }),
  object({ op: Type.Literal('remove'), id: idSchema }),
  object({ op: Type.Literal('set-hidden'), id: idSchema, isHidden: Type.Boolean() }),
  object({ op: Type.Literal('name-divider'), id: idSchema, title: dividerTitle }),
])
export type CollectionOperation = Static<typeof collectionOperationSchema>

export const collectionChangeSchema = object({
  operations: Type.Array(collectionOperationSchema, {
    minItems: 1,
    maxItems: MOST_COLLECTION_OPERATIONS,
  }),
})

export const newCollectionSchema = object({ title })

/** What the author sees of a thing inside a collection. */
export const heldThingSchema = object({
  id: idSchema,
  kind: sharedKindSchema,
  title: Type.String(),
  publishedAt: nullable(instantSchema),
  isNewer: Type.Boolean({ description: 'Whether it has changes that are not published' }),
  binnedAt: nullable(instantSchema),
})
export type HeldThing = Static<typeof heldThingSchema>

export const collectionSchema = object({
  id: idSchema,
  title,
  items: Type.Array(collectionItemSchema),
  things: Type.Array(heldThingSchema, { description: 'What its items name' }),
  changedAt: instantSchema,
  binnedAt: nullable(instantSchema),
  revision: Type.Integer(),
})
export type Collection = Static<typeof collectionSchema>

const collectionRowSchema = object({
  id: idSchema,
  title: Type.String(),
  pages: Type.Integer({ description: 'How many pages lie in it directly' }),
  published: Type.Integer({ description: 'How many of them others would see' }),
  changedAt: instantSchema,
  binnedAt: nullable(instantSchema),
})
export type CollectionRow = Static<typeof collectionRowSchema>

export const collectionListSchema = object({
  items: Type.Array(collectionRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type CollectionList = Static<typeof collectionListSchema>

/** One line of what others read: a thing, a divider, or the start of a nested collection. */
export const outlineLineSchema = object({
  kind: Type.Enum([...sharedKinds, 'divider']),
  id: idSchema,
  title: Type.String(),
  depth: Type.Integer({ minimum: 0, description: 'How deep it lies; 0 directly in the collection' }),
})
export type OutlineLine = Static<typeof outlineLineSchema>
