// What comes from other places: links as they are looked up, folders of the shared drive, pictures of the shelf; and
// the phone that lends its camera.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'
import type { Instant } from '../time/index.ts'
import { linkSchema } from './schema.ts'
import { licenceIds, LONGEST_TITLE } from './valueLists.ts'

const outsideId = Type.String({ pattern: '^[\\w-]{1,80}$' })

/** Where new items go: the class in view and the assignment whose slot is open. */
export const landingSchema = object({
  classId: Type.Optional(idSchema),
  assignmentId: Type.Optional(idSchema),
})
export type Landing = Static<typeof landingSchema>

export const newLinkSchema = object({
  address: Type.String({ minLength: 1, maxLength: 2000 }),
  title: Type.Optional(Type.String({ maxLength: LONGEST_TITLE })),
  landing: landingSchema,
})
export type NewLink = Static<typeof newLinkSchema>

/** What is known of a web address before it is saved as a link. */
export const previewedLinkSchema = object({
  ...Type.Pick(linkSchema, ['address', 'siteName', 'description', 'frame', 'state']).properties,
  title: Type.String(),
  hasPicture: Type.Boolean(),
  known: nullable(idSchema),
})
export type PreviewedLink = Static<typeof previewedLinkSchema>

export const driveDocumentSchema = object({
  id: outsideId,
  name: Type.String(),
  mime: Type.String(),
  bytes: Type.Integer({ minimum: 0 }),
  revision: Type.String(),
  changedAt: Type.String(),
})
export type DriveDocument = Static<typeof driveDocumentSchema>

export const driveFolderSchema = object({
  id: nullable(outsideId),
  name: Type.String(),
  /** The folders above, the top first. */
  above: Type.Array(object({ id: nullable(outsideId), name: Type.String() })),
  folders: Type.Array(object({ id: outsideId, name: Type.String() })),
  documents: Type.Array(driveDocumentSchema),
})
export type DriveFolder = Static<typeof driveFolderSchema>

export const fromDriveSchema = object({
  documentId: outsideId,
  how: Type.Enum(['copy', 'connected']),
  landing: landingSchema,
})
export type FromDrive = Static<typeof fromDriveSchema>

export const shelfPictureSchema = object({
  id: outsideId,
  title: Type.String(),
  maker: Type.String(),
  source: Type.String(),
  licence: Type.Enum([...licenceIds]),
  shows: Type.String({ description: 'What the picture shows, in words' }),
  width: Type.Integer(),
  height: Type.Integer(),
})
export type ShelfPicture = Static<typeof shelfPictureSchema>
export const shelfPageSchema = object({ pictures: Type.Array(shelfPictureSchema) })
export type ShelfPage = Static<typeof shelfPageSchema>

export const fromShelfSchema = object({ pictureId: outsideId, landing: landingSchema })
export type FromShelf = Static<typeof fromShelfSchema>
export const shelfReportSchema = object({ words: Type.String({ minLength: 1, maxLength: 1000 }) })

/** Which sources of evidence this school has. */
export const sourcesSchema = object({ drive: Type.Boolean(), shelf: Type.Boolean() })
export type Sources = Static<typeof sourcesSchema>

export const outsideIdSchema = outsideId

/** The link that lets a phone lend its camera, as the laptop sees it. */
export const phoneLinkSchema = object({
  id: idSchema,
  address: Type.String({ description: 'What the code says; opens once' }),
  endsAt: instantSchema,
})
export type PhoneLink = Static<typeof phoneLinkSchema>
export const phoneStateSchema = object({
  state: Type.Enum(['open', 'lent', 'ended']),
  arrived: Type.Array(idSchema),
})
export type PhoneState = Static<typeof phoneStateSchema>

/** What the phone is allowed to know: for whom it takes pictures, and until when. */
export interface LentCamera {
  readonly firstName: string
  readonly endsAt: Instant
  /** How many pictures were taken. */
  readonly taken: number
  readonly language: string
}
