// An evidence item, its versions, its rights; the tray, the bin, and files on their way in.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { localizedSchema } from '../people/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import {
  evidenceKinds,
  licenceIds,
  LONGEST_ALTERNATIVE_TEXT,
  LONGEST_CAPTION,
  LONGEST_QUERY_NAME,
  LONGEST_TAG,
  LONGEST_TITLE,
  LONGEST_TRANSCRIPT,
  MOST_AT_ONCE,
  MOST_TAGS,
  previewProblems,
  previewStates,
  textStates,
} from './valueLists.ts'
import { voiceSchema } from './voiceSchema.ts'

const line = (maxLength: number) => Type.String({ minLength: 1, maxLength })

const rightsSchema = Type.Union([
  object({ state: Type.Literal('missing') }),
  object({ state: Type.Literal('mine') }),
  object({
    state: Type.Literal('licensed'),
    maker: line(200),
    source: line(500),
    licence: Type.Enum([...licenceIds]),
  }),
])
export type Rights = Static<typeof rightsSchema>

/** The values of a credit line; the words between them come from the reader's language. */
export const creditLineSchema = object({
  title: Type.String(),
  maker: Type.String(),
  source: Type.String(),
  sourceAddress: nullable(Type.String({ description: 'The source as an address, where it is one' })),
  licence: Type.Enum([...licenceIds]),
  licenceName: nullable(
    Type.String({ description: 'The same in every language; null where it has to be said in words' }),
  ),
  licenceAddress: nullable(Type.String()),
})
export type CreditLine = Static<typeof creditLineSchema>

const evidenceVersionSchema = object({
  n: Type.Integer({ minimum: 1 }),
  fileName: Type.String(),
  mime: Type.String(),
  bytes: Type.Integer(),
  width: nullable(Type.Integer()),
  height: nullable(Type.Integer()),
  place: nullable(object({ latitude: Type.Number(), longitude: Type.Number() })),
  durationMs: nullable(Type.Integer({ description: 'How long it plays, where the file or its maker says' })),
  pages: nullable(Type.Integer()),
  encoding: nullable(Type.String({ description: 'Of a text, where it is not UTF-8' })),
  textState: Type.Enum([...textStates], { description: 'Whether the words inside have been looked for' }),
  preview: Type.Enum([...previewStates]),
  previewProblem: nullable(Type.Enum([...previewProblems])),
  renderRevision: Type.Integer({ description: 'The recipe that made its pictures; 0 for as they came' }),
  at: instantSchema,
})
export type EvidenceVersion = Static<typeof evidenceVersionSchema>

/** A row of a list: the item with its newest version. */
export const evidenceRowSchema = object({
  id: idSchema,
  kind: Type.Enum([...evidenceKinds]),
  title: Type.String({ description: 'Empty until somebody says what it is' }),
  rightsState: Type.Enum(['missing', 'mine', 'licensed']),
  alternativeText: Type.String({ description: 'What a picture shows, for those who do not see it' }),
  madeAt: instantSchema,
  version: evidenceVersionSchema,
  inTray: Type.Boolean(),
  binnedAt: nullable(instantSchema),
})
export type EvidenceRow = Static<typeof evidenceRowSchema>

export const evidencePageSchema = object({
  items: Type.Array(evidenceRowSchema),
  next: nullable(Type.String({ description: 'The cursor of the next page' })),
  count: Type.Integer({ description: 'How many there are in all' }),
})
export type EvidencePage = Static<typeof evidencePageSchema>

/** The target of a link, as its site described it. */
export const linkSchema = object({
  address: Type.String(),
  siteName: Type.String(),
  description: Type.String(),
  frame: nullable(
    object({
      kind: Type.Enum(['player', 'embed'], { description: 'Something to play, or something to work with' }),
      address: Type.String({ description: 'What stands in the sandboxed frame' }),
      site: Type.String(),
    }),
  ),
  state: Type.Enum(['there', 'slow', 'dead', 'blocked']),
  checkedAt: instantSchema,
})
export type Link = Static<typeof linkSchema>

/** The state of a document connected to the shared drive. */
const driveStateSchema = object({
  documentId: Type.String(),
  isConnected: Type.Boolean(),
  changedAt: nullable(Type.String({ description: 'When the newest version was written there' })),
  checkedAt: instantSchema,
  lostAt: nullable(instantSchema),
})
export type DriveState = Static<typeof driveStateSchema>

/** A picture in a collage. */
const collagePictureSchema = object({
  id: idSchema,
  title: Type.String(),
  rightsState: Type.Enum(['missing', 'mine', 'licensed']),
  credit: nullable(creditLineSchema),
})
export type CollagePicture = Static<typeof collagePictureSchema>

export const evidenceSchema = object({
  ...evidenceRowSchema.properties,
  madeAtKnown: Type.Boolean({ description: 'Whether the file said when it was made' }),
  caption: Type.String({ description: 'Stands under it wherever a piece has none of its own' }),
  statement: Type.String({ description: 'The student’s own text about it, by lines' }),
  tags: Type.Array(Type.String()),
  rights: rightsSchema,
  transcript: Type.String({ description: 'What is said in a recording' }),
  classId: nullable(idSchema),
  className: nullable(Type.String()),
  assignment: nullable(object({ id: idSchema, title: localizedSchema(200) })),
  link: nullable(linkSchema),
  drive: nullable(driveStateSchema),
  alike: Type.Integer({ description: 'How many others of mine look like it' }),
  createdAt: instantSchema,
  parts: Type.Array(collagePictureSchema, { description: 'The pictures in a collage' }),
  voices: Type.Array(voiceSchema, { description: 'Recordings that speak of it, oldest first' }),
  versions: Type.Array(evidenceVersionSchema, { description: 'Newest first' }),
  revision: Type.Integer(),
})
export type Evidence = Static<typeof evidenceSchema>

/** The fields that an owner can change; omitted ones stay. */
export const evidenceChangeSchema = object({
  title: Type.Optional(Type.String({ maxLength: LONGEST_TITLE })),
  caption: Type.Optional(Type.String({ maxLength: LONGEST_CAPTION })),
  tags: Type.Optional(Type.Array(Type.String({ maxLength: LONGEST_TAG }), { maxItems: MOST_TAGS })),
  rights: Type.Optional(rightsSchema),
  alternativeText: Type.Optional(Type.String({ maxLength: LONGEST_ALTERNATIVE_TEXT })),
  transcript: Type.Optional(Type.String({ maxLength: LONGEST_TRANSCRIPT })),
  classId: Type.Optional(nullable(idSchema)),
  assignmentId: Type.Optional(nullable(idSchema)),
  madeOn: Type.Optional(localDaySchema),
})
export type EvidenceChange = Static<typeof evidenceChangeSchema>

const many = Type.Array(idSchema, { minItems: 1, maxItems: MOST_AT_ONCE })
const tag = Type.String({ minLength: 1, maxLength: LONGEST_TAG })

export const rightsForManySchema = object({ ids: many, rights: rightsSchema })
export type RightsForMany = Static<typeof rightsForManySchema>

export const tagsForManySchema = object({
  ids: many,
  add: Type.Array(tag, { maxItems: MOST_TAGS }),
})
export type TagsForMany = Static<typeof tagsForManySchema>

export const manySchema = object({ ids: many })

/** Renaming a tag to a name that is in use merges the two tags. */
export const renamedTagSchema = object({ tag, name: tag })
export type RenamedTag = Static<typeof renamedTagSchema>

const count = Type.Integer({ minimum: 0 })

/** The counts beside the filters. */
export const evidenceCountsSchema = object({
  all: count,
  matching: count,
  kinds: Type.Array(object({ kind: Type.Enum([...evidenceKinds]), count })),
  marks: object({
    unused: count,
    'no-rights': count,
    'no-alternative': count,
    shared: count,
    alike: count,
  }),
  weeks: Type.Array(object({ week: localDaySchema, count }), {
    description: 'What the query finds at any time, by the week of making; each by its Monday',
  }),
})
export type EvidenceCounts = Static<typeof evidenceCountsSchema>

export const foundIdsSchema = object({ ids: Type.Array(idSchema) })

export const savedQuerySchema = object({
  id: idSchema,
  name: line(LONGEST_QUERY_NAME),
  query: Type.String({ maxLength: 2000, description: 'As it stands behind the question mark of an address' }),
})
export type SavedQuery = Static<typeof savedQuerySchema>
export const savedQueriesSchema = Type.Array(savedQuerySchema)
export const newSavedQuerySchema = Type.Pick(savedQuerySchema, ['name', 'query'], {
  additionalProperties: false,
})
export type NewSavedQuery = Static<typeof newSavedQuerySchema>

/** A block of a document's text, without its formatting. */
const documentBlockSchema = Type.Union([
  object({
    kind: Type.Literal('heading'),
    level: Type.Integer({ minimum: 1, maximum: 6 }),
    text: Type.String(),
  }),
  object({ kind: Type.Literal('paragraph'), text: Type.String() }),
  object({ kind: Type.Literal('item'), text: Type.String() }),
  object({ kind: Type.Literal('table'), rows: Type.Array(Type.Array(Type.String())) }),
])
export type DocumentBlock = Static<typeof documentBlockSchema>

export const insideSchema = object({
  blocks: Type.Array(documentBlockSchema),
  isCut: Type.Boolean({ description: 'Whether there is more than is shown' }),
})
export type Inside = Static<typeof insideSchema>

/** The first rows of a data table. */
export const dataTableSchema = object({
  columns: Type.Array(object({ name: Type.String(), isNumeric: Type.Boolean() })),
  rows: Type.Array(Type.Array(Type.String())),
  count,
})
export type DataTable = Static<typeof dataTableSchema>

export const tagsInUseSchema = Type.Array(object({ tag: Type.String(), count: Type.Integer() }))
export type TagsInUse = Static<typeof tagsInUseSchema>

export const traySchema = Type.Array(evidenceRowSchema)
export type Tray = Static<typeof traySchema>

/** What a completed upload became. */
const uploadOutcomes = ['new', 'version', 'same'] as const

export const uploadSchema = object({
  id: idSchema,
  fileName: Type.String(),
  bytes: Type.Integer(),
  received: Type.Integer({ description: 'Bytes that are kept so far' }),
  lastModified: nullable(
    Type.Integer({ description: 'Milliseconds, as the device says; finds the file again' }),
  ),
  replaces: nullable(idSchema),
  startedAt: instantSchema,
  outcome: nullable(
    object({
      kind: Type.Enum([...uploadOutcomes]),
      evidenceId: idSchema,
      title: Type.String(),
    }),
  ),
})
export type Upload = Static<typeof uploadSchema>

export const uploadsSchema = object({
  open: Type.Array(uploadSchema),
  largest: Type.Integer({ description: 'Bytes that one file may have' }),
})
export type Uploads = Static<typeof uploadsSchema>

/** The metadata of an upload. */
export const uploadMetadataSchema = object({
  filename: Type.String({ minLength: 1, maxLength: 2000 }),
  lastModified: Type.Optional(Type.Integer({ minimum: 0, maximum: 8_640_000_000_000_000 })),
  replaces: Type.Optional(idSchema),
  classId: Type.Optional(idSchema),
  assignmentId: Type.Optional(idSchema),
  title: Type.Optional(Type.String({ maxLength: LONGEST_TITLE })),
  mine: Type.Optional(Type.Literal('yes', { description: 'It comes from one’s own camera or microphone' })),
  durationMs: Type.Optional(Type.Integer({ minimum: 0, maximum: 86_400_000 })),
  about: Type.Optional(Type.String({ maxLength: 40, description: 'The item that a recording speaks of' })),
  moments: Type.Optional(
    Type.String({ maxLength: 20_000, description: 'What it points at and when, as JSON' }),
  ),
  recipe: Type.Optional(
    Type.String({
      maxLength: 20_000,
      description: 'How the picture is put right from the beginning, as JSON',
    }),
  ),
})
export type UploadMetadata = Static<typeof uploadMetadataSchema>
