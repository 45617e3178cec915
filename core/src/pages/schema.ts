// The document: rows of pieces; the operations that change it; what a page shows of the things its pieces point at.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { creditLineSchema, evidenceKinds } from '../evidence/index.ts'
import { LONGEST_OFFERED_TITLE } from '../offers/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import { documentPartIdSchema } from './pieces/pieceFields.ts'
import { pieceSchema } from './pieces/pieceSchemas.ts'
import {
  DOCUMENT_SCHEMA,
  LONGEST_PAGE_TITLE,
  LONGEST_ROW_HEADING,
  MOST_OPERATIONS,
  MOST_PIECES_IN_ROW,
  MOST_ROWS,
  textLanguages,
} from './valueLists.ts'

const rowSchema = object({
  id: documentPartIdSchema,
  heading: Type.Optional(
    Type.String({ maxLength: LONGEST_ROW_HEADING, description: 'Of what begins with it, for readers' }),
  ),
  pieces: Type.Array(pieceSchema, { maxItems: MOST_PIECES_IN_ROW }),
})
export type Row = Static<typeof rowSchema>

const title = Type.String({ maxLength: LONGEST_PAGE_TITLE })
const lang = Type.Enum([...textLanguages], { description: 'The language that its texts are read in' })

/** The questions that a document goes along: which sheet, in which version, and what it is called. */
const sheetReferenceSchema = object({
  id: idSchema,
  n: Type.Integer({ minimum: 1 }),
  title: localizedDraftSchema(LONGEST_OFFERED_TITLE),
})
export type SheetReference = Static<typeof sheetReferenceSchema>

const sheet = nullable(sheetReferenceSchema)

const documentSchema = object({
  schema: Type.Literal(DOCUMENT_SCHEMA),
  title,
  lang,
  sheet: Type.Optional(sheet),
  rows: Type.Array(rowSchema, { maxItems: MOST_ROWS }),
})
export type PageDocument = Static<typeof documentSchema>

/** Positions are "after this id" (null = first), so concurrent edits do not shift them. */
const after = nullable(documentPartIdSchema)
const rowId = documentPartIdSchema
const pieceId = documentPartIdSchema

const operationSchema = Type.Union([
  object({ op: Type.Literal('set-title'), title }),
  object({ op: Type.Literal('set-lang'), lang }),
  object({ op: Type.Literal('set-sheet'), sheet }),
  object({ op: Type.Literal('insert-row'), row: rowSchema, after }),
  object({ op: Type.Literal('remove-row'), rowId }),
  object({ op: Type.Literal('move-row'), rowId, after }),
  object({ op: Type.Literal('insert-piece'), rowId, piece: pieceSchema, after }),
  object({ op: Type.Literal('remove-piece'), pieceId }),
  object({ op: Type.Literal('move-piece'), pieceId, rowId, after }),
  object({ op: Type.Literal('set-piece'), piece: pieceSchema }),
])
export type Operation = Static<typeof operationSchema>

export const editSchema = object({
  base: Type.Integer({ minimum: 1, description: 'The revision that the edit was made on' }),
  editId: idSchema,
  windowId: idSchema,
  operations: Type.Array(operationSchema, { minItems: 1, maxItems: MOST_OPERATIONS }),
  writtenAt: Type.Optional({
    ...instantSchema,
    description:
      'When it was written, by the clock of the server as the device knew it; without it, when it comes',
  }),
})
export type Edit = Static<typeof editSchema>

export const editAnswerSchema = object({
  revision: Type.Integer(),
  others: Type.Array(operationSchema, { description: 'What others did since the base, in order' }),
  operations: Type.Array(operationSchema, { description: 'The edit as it was applied after that' }),
})
export type EditAnswer = Static<typeof editAnswerSchema>

/** A recording about an item, with the moments at which it points at something. */
const shownVoiceSchema = object({
  id: idSchema,
  n: Type.Integer(),
  fileName: Type.String(),
  bytes: Type.Integer(),
  transcript: Type.String(),
  moments: Type.Array(object({ atMs: Type.Integer(), words: Type.String() })),
})
export type ShownVoice = Static<typeof shownVoiceSchema>

/** What a piece shows of an item: its facts at one version. */
export const shownEvidenceSchema = object({
  id: idSchema,
  n: Type.Integer(),
  kind: Type.Enum([...evidenceKinds]),
  title: Type.String(),
  fileName: Type.String(),
  mime: Type.String(),
  bytes: Type.Integer(),
  width: nullable(Type.Integer()),
  height: nullable(Type.Integer()),
  hasPicture: Type.Boolean({ description: 'Whether there is a rendition to show' }),
  // Sealed copies are signed over this name, so it stays what it was called first.
  look: Type.Optional(Type.Integer({ description: 'The render revision of its picture; 0 for as it came' })),
  notes: Type.Optional(Type.Array(Type.String(), { description: 'What its numbered pins show, from 1' })),
  caption: Type.Optional(Type.String({ description: 'Where the piece has none of its own' })),
  alternativeText: Type.Optional(
    Type.String({ description: 'Where the piece says nothing for those who cannot see the picture' }),
  ),
  transcript: Type.Optional(Type.String({ description: 'What is said in a recording' })),
  voices: Type.Optional(Type.Array(shownVoiceSchema)),
  credit: nullable(creditLineSchema),
  creditsWithin: Type.Optional(Type.Array(creditLineSchema, { description: 'Of the pictures in a collage' })),
  rightsDeclared: Type.Boolean(),
})
export type ShownEvidence = Static<typeof shownEvidenceSchema>

export const shownEntrySchema = object({
  id: idSchema,
  title: Type.String(),
  day: localDaySchema,
  document: documentSchema,
})
export type ShownEntry = Static<typeof shownEntrySchema>

/** What a piece shows of a logbook: which of its entries, in which order. */
const shownLogbookSchema = object({
  id: idSchema,
  title: Type.String(),
  entryIds: Type.Array(idSchema),
})
export type ShownLogbook = Static<typeof shownLogbookSchema>

/**
 * Everything that the pieces of a document refer to. Evidence is listed by the key of its reference, because two pieces
 * may show two versions of one item.
 */
export const shownSchema = object({
  evidence: Type.Record(Type.String(), shownEvidenceSchema, { description: 'By the piece that shows it' }),
  entries: Type.Record(Type.String(), shownEntrySchema, { description: 'By entry' }),
  logbooks: Type.Optional(
    Type.Record(Type.String(), shownLogbookSchema, { description: 'By the piece that shows it' }),
  ),
})
export type Shown = Static<typeof shownSchema>

const otherVersionSchema = object({
  id: idSchema,
  piece: pieceSchema,
  at: instantSchema,
  isHere: Type.Boolean({ description: 'Whether its piece still stands in the document' }),
})
export type OtherVersion = Static<typeof otherVersionSchema>

export const draftSchema = object({
  revision: Type.Integer(),
  document: documentSchema,
  changedAt: instantSchema,
  otherVersions: Type.Array(otherVersionSchema, { description: 'Texts that lost against a faster window' }),
  shown: shownSchema,
})
export type Draft = Static<typeof draftSchema>

const publishedSchema = object({
  n: Type.Integer(),
  at: instantSchema,
  document: documentSchema,
  shown: shownSchema,
})
export type Published = Static<typeof publishedSchema>

export const pageSchema = object({
  id: idSchema,
  draft: draftSchema,
  published: nullable(publishedSchema),
  binnedAt: nullable(instantSchema),
})
export type Page = Static<typeof pageSchema>

const pageRowSchema = object({
  id: idSchema,
  title: Type.String(),
  changedAt: instantSchema,
  publishedAt: nullable(instantSchema),
  isNewer: Type.Boolean({ description: 'Whether the draft has changes that are not published' }),
  binnedAt: nullable(instantSchema),
})
export type PageRow = Static<typeof pageRowSchema>

export const pageListSchema = object({
  items: Type.Array(pageRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type PageList = Static<typeof pageListSchema>

export const newPageSchema = object({ title, lang: Type.Enum([...textLanguages]) })
export type NewPage = Static<typeof newPageSchema>
