// Passes as their giver sees them, what others opened, and the answers of access.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { heldThingSchema, outlineLineSchema } from '../collections/index.ts'
import { sharedThingSchema } from '../things/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import {
  audienceKindSchema,
  audienceSchema,
  namedAudienceKindSchema,
} from './audiences/audienceDefinitions.ts'
import { accessRights } from './valueLists.ts'

const rights = Type.Array(Type.Enum([...accessRights]), { minItems: 1, maxItems: 3, uniqueItems: true })
const days = { firstDay: nullable(localDaySchema), lastDay: nullable(localDaySchema) }

export const newPassSchema = object({ thing: sharedThingSchema, audience: audienceSchema, rights, ...days })
export type NewPass = Static<typeof newPassSchema>

/** Only the window of a pass can change; another audience is another pass. */
export const passChangeSchema = object(days)
export type PassChange = Static<typeof passChangeSchema>

export const passSchema = object({
  id: idSchema,
  thing: sharedThingSchema,
  audience: object({
    kind: audienceKindSchema,
    id: nullable(idSchema),
    name: Type.String({ description: 'The shown name of the person, the class, or the name of the link' }),
  }),
  rights,
  ...days,
  from: nullable(instantSchema),
  until: nullable(Type.Union([instantSchema], { description: 'Its end, also where it was ended early' })),
  state: Type.Enum(['to-come', 'running', 'ended']),
  isForbidden: Type.Boolean({ description: 'The rules of the school do not allow it, so it opens nothing' }),
  address: nullable(Type.String({ description: 'Of a visitor link: the path that opens it' })),
  revision: Type.Integer(),
})
export type Pass = Static<typeof passSchema>

/**
 * The caller's own pages and collections, where they stand in collections, and their passes. The client builds the
 * tree.
 */
export const sharingSchema = object({
  things: Type.Array(heldThingSchema),
  places: Type.Array(object({ containerId: idSchema, thingId: idSchema, isHidden: Type.Boolean() }), {
    description: 'What lies in which collection, in its order',
  }),
  passes: Type.Array(passSchema),
})
export type Sharing = Static<typeof sharingSchema>

/** The audiences that the caller can choose from, and which of them the sharing rules allow. */
export const audiencesSchema = object({
  allowed: Type.Array(audienceKindSchema),
  classes: Type.Array(
    object({
      id: idSchema,
      name: Type.String(),
      people: Type.Integer({ description: 'How many are in it now, oneself apart' }),
      assessors: Type.Array(object({ id: idSchema, name: Type.String() })),
    }),
  ),
  people: Type.Array(
    object({
      id: idSchema,
      name: Type.String(),
      isAssessor: Type.Boolean(),
      className: Type.String({ description: 'A class that both are in' }),
    }),
  ),
})
export type Audiences = Static<typeof audiencesSchema>

const passGrant = object({
  kind: Type.Literal('pass'),
  passId: idSchema,
  path: Type.Array(idSchema, {
    description: 'From the collection that has the pass down to the one that holds it',
  }),
})
const obstacleSchema = Type.Union([
  object({ kind: Type.Enum(['no-pass', 'not-published', 'in-bin']) }),
  object({ kind: Type.Enum(['hidden', 'container-in-bin']), passId: idSchema, containerId: idSchema }),
  object({ kind: Type.Literal('to-come'), passId: idSchema, from: instantSchema }),
  object({ kind: Type.Literal('ended'), passId: idSchema, until: instantSchema }),
  object({ kind: Type.Enum(['rules', 'right', 'not-in-class']), passId: idSchema }),
])
const thingAnswerSchema = Type.Union([
  object({
    thingId: idSchema,
    allowed: Type.Literal(true),
    grants: Type.Array(passGrant),
    until: nullable(instantSchema),
  }),
  object({ thingId: idSchema, allowed: Type.Literal(false), obstacles: Type.Array(obstacleSchema) }),
])
export type ThingAnswer = Static<typeof thingAnswerSchema>

/** What somebody else can open of the caller's own things, at a moment. */
export const lookAsSchema = object({
  at: instantSchema,
  classIds: Type.Array(idSchema, { description: 'The classes of whoever looks, at that moment' }),
  answers: Type.Array(thingAnswerSchema),
})
export type LookAs = Static<typeof lookAsSchema>

const thingSharedWithMeSchema = object({
  thing: sharedThingSchema,
  title: Type.String(),
  ownerName: Type.String(),
  pages: nullable(Type.Integer({ description: 'Of a collection: how many pages there are to read' })),
  changedAt: instantSchema,
  openedAt: instantSchema,
  until: nullable(instantSchema),
  audience: namedAudienceKindSchema,
  className: nullable(Type.String()),
})
export type ThingSharedWithMe = Static<typeof thingSharedWithMeSchema>

export const sharedWithMeListSchema = object({
  items: Type.Array(thingSharedWithMeSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type SharedWithMeList = Static<typeof sharedWithMeListSchema>

/** How many people can see a thing now, and through how many links; holders of a link are not counted. */
export const seenBySchema = object({
  people: Type.Integer(),
  links: Type.Integer(),
})
export type SeenBy = Static<typeof seenBySchema>

/** Why a reader can see something: by which link, or until when. */
const readerFacts = {
  ownerName: Type.String(),
  isMine: Type.Boolean(),
  linkName: nullable(
    Type.String({ description: 'The name of the link that opened it, where it was a link' }),
  ),
}

export const readCollectionSchema = object({
  id: idSchema,
  title: Type.String(),
  ...readerFacts,
  lines: Type.Array(outlineLineSchema),
})
export type ReadCollection = Static<typeof readCollectionSchema>

export const readPageSchema = object({
  id: idSchema,
  n: Type.Integer(),
  at: instantSchema,
  title: Type.String(),
  lang: Type.String(),
  html: Type.String({ description: 'The page as it was rendered when it was published' }),
  ...readerFacts,
  collections: Type.Array(idSchema, {
    description: 'Collections that hold it and that its reader may look at',
  }),
})
export type ReadPage = Static<typeof readPageSchema>
