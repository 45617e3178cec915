// An evidence item, its versions, its rights; the tray, the bin, and files on their way in.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema } from '../people/index.ts'
import { instantSchema } from '../time/index.ts'
import {
  evidenceKinds,
  licenceIds,
  LONGEST_STATEMENT,
  LONGEST_TAG,
  LONGEST_TITLE,
  MOST_AT_ONCE,
  MOST_TAGS,
  previewProblems,
  previewStates,
} from './valueLists.ts'

const nullable = <T extends Parameters<typeof Type.Union>[0][number]>(schema: T) =>
  Type.Union([schema, Type.Null()])
const object = <T extends Parameters<typeof Type.Object>[0]>(properties: T) =>
  Type.Object(properties, { additionalProperties: false })
const line = (maxLength: number) => Type.String({ minLength: 1, maxLength })

export const rightsSchema = Type.Union([
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

/** What a credit line names; the words between come from the language of the reader. */
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

export const evidenceVersionSchema = object({
  n: Type.Integer({ minimum: 1 }),
  fileName: Type.String(),
  mime: Type.String(),
  bytes: Type.Integer(),
  width: nullable(Type.Integer()),
  height: nullable(Type.Integer()),
  hasPlace: Type.Boolean({ description: 'Whether the file says where it was made; for its owner alone' }),
  preview: Type.Enum([...previewStates]),
  previewProblem: nullable(Type.Enum([...previewProblems])),
  at: instantSchema,
})
export type EvidenceVersion = Static<typeof evidenceVersionSchema>

/** A row of lists: the item with its newest version. */
export const evidenceRowSchema = object({
  id: idSchema,
  kind: Type.Enum([...evidenceKinds]),
  title: Type.String({ description: 'Empty until somebody says what it is' }),
  rightsState: Type.Enum(['missing', 'mine', 'licensed']),
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

export const evidenceSchema = object({
  ...evidenceRowSchema.properties,
  madeAtKnown: Type.Boolean({ description: 'Whether the file said when it was made' }),
  statement: Type.String({ description: 'The student’s own text about it, by lines' }),
  tags: Type.Array(Type.String()),
  rights: rightsSchema,
  className: nullable(Type.String()),
  createdAt: instantSchema,
  versions: Type.Array(evidenceVersionSchema, { description: 'Newest first' }),
  revision: Type.Integer(),
})
export type Evidence = Static<typeof evidenceSchema>

/** What an owner may change; what is left out stays. */
export const evidenceChangeSchema = object({
  title: Type.Optional(Type.String({ maxLength: LONGEST_TITLE })),
  statement: Type.Optional(Type.String({ maxLength: LONGEST_STATEMENT })),
  tags: Type.Optional(Type.Array(Type.String({ maxLength: LONGEST_TAG }), { maxItems: MOST_TAGS })),
  rights: Type.Optional(rightsSchema),
})
export type EvidenceChange = Static<typeof evidenceChangeSchema>

export const rightsForManySchema = object({
  ids: Type.Array(idSchema, { minItems: 1, maxItems: MOST_AT_ONCE }),
  rights: rightsSchema,
})
export type RightsForMany = Static<typeof rightsForManySchema>

export const tagsInUseSchema = Type.Array(object({ tag: Type.String(), count: Type.Integer() }))
export type TagsInUse = Static<typeof tagsInUseSchema>

export const traySchema = Type.Array(evidenceRowSchema)
export type Tray = Static<typeof traySchema>

/** What a file became when all of it was there. */
export const uploadOutcomes = ['new', 'version', 'same'] as const

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

/** What comes with an upload beside the bytes. */
export const uploadMetadataSchema = object({
  filename: Type.String({ minLength: 1, maxLength: 2000 }),
  lastModified: Type.Optional(Type.Integer({ minimum: 0, maximum: 8_640_000_000_000_000 })),
  replaces: Type.Optional(idSchema),
  classId: Type.Optional(idSchema),
})
export type UploadMetadata = Static<typeof uploadMetadataSchema>
