// Logbooks and their dated entries. An entry's words and evidence are a document like a page's.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { MOST_ATTRIBUTES } from '../attributes/index.ts'
import { LONGEST_OFFERED_TITLE } from '../offers/index.ts'
import { LONGEST_TAG, MOST_TAGS } from '../evidence/index.ts'
import { draftSchema, shownEntrySchema, shownSchema, textLanguages } from '../pages/index.ts'
import { localizedDraftSchema } from '../people/index.ts'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import {
  entryMarks,
  LONGEST_ENTRY_TITLE,
  LONGEST_LOGBOOK_SUMMARY,
  LONGEST_LOGBOOK_TITLE,
  MOST_ABOUT,
  MOST_MOVED,
} from './valueLists.ts'

const logbookTitle = Type.String({ minLength: 1, maxLength: LONGEST_LOGBOOK_TITLE })

export const newLogbookSchema = object({ title: logbookTitle })

/** What tells a logbook apart from others. */
const logbookDetails = {
  summary: Type.String({ maxLength: LONGEST_LOGBOOK_SUMMARY }),
  coverId: nullable(idSchema),
  usualSheetId: nullable(idSchema),
  classId: nullable(idSchema),
}

export const logbookChangeSchema = Type.Partial(object({ title: logbookTitle, ...logbookDetails }), {
  minProperties: 1,
})
export type LogbookChange = Static<typeof logbookChangeSchema>

const logbookRowSchema = object({
  id: idSchema,
  title: Type.String(),
  ...logbookDetails,
  entries: Type.Integer(),
  lastDay: nullable(localDaySchema),
  revision: Type.Integer(),
})
export type LogbookRow = Static<typeof logbookRowSchema>
export const logbookListSchema = Type.Array(logbookRowSchema)

export const logbookSchema = logbookRowSchema
export type Logbook = LogbookRow

const sheetOfEntrySchema = object({ id: idSchema, title: localizedDraftSchema(LONGEST_OFFERED_TITLE) })
const tagsSchema = Type.Array(Type.String({ minLength: 1, maxLength: LONGEST_TAG }), { maxItems: MOST_TAGS })

const entryRowSchema = object({
  id: idSchema,
  logbookId: idSchema,
  day: localDaySchema,
  title: Type.String(),
  beginning: Type.String({ description: 'The first words' }),
  words: Type.Integer(),
  evidence: Type.Integer({ description: 'How many things stand beside the words' }),
  sheet: nullable(sheetOfEntrySchema),
  asked: Type.Integer({ description: 'How many questions its sheet asks' }),
  answered: Type.Integer({ description: 'How many of them are answered' }),
  isSpoken: Type.Boolean({ description: 'Whether it is a recording and nothing is written' }),
  tags: Type.Array(Type.String()),
  changedAt: instantSchema,
  binnedAt: nullable(instantSchema),
})
export type EntryRow = Static<typeof entryRowSchema>

/** Which entries a list has, and in which order. */
export const entryQuerySchema = object({
  cursor: Type.Optional(Type.String({ maxLength: 400 })),
  limit: Type.Optional(Type.Integer({ minimum: 1, maximum: 200 })),
  logbookId: Type.Optional(idSchema),
  words: Type.Optional(Type.String({ maxLength: 200 })),
  tag: Type.Optional(Type.String({ maxLength: LONGEST_TAG })),
  from: Type.Optional(localDaySchema),
  until: Type.Optional(localDaySchema),
  sheetId: Type.Optional(idSchema),
  mark: Type.Optional(Type.Enum([...entryMarks])),
  order: Type.Optional(Type.Enum(['newest', 'oldest'])),
})
export type EntryQuery = Static<typeof entryQuerySchema>

export const entryListSchema = object({
  items: Type.Array(entryRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type EntryList = Static<typeof entryListSchema>

/** Entries as they are read, one after the other. */
export const entryReadingSchema = object({
  items: Type.Array(object({ ...shownEntrySchema.properties, shown: shownSchema })),
  next: nullable(Type.String()),
})
export type EntryReading = Static<typeof entryReadingSchema>

/** What the entries of a logbook can be narrowed to. */
export const logbookFacetsSchema = object({
  tags: Type.Array(object({ tag: Type.String(), count: Type.Integer() })),
  sheets: Type.Array(object({ ...sheetOfEntrySchema.properties, count: Type.Integer() })),
  days: Type.Array(object({ day: localDaySchema, count: Type.Integer() }), {
    description: 'Those with entries, of the days up to the asked one that a strip shows',
  }),
  firstDay: nullable(localDaySchema),
  lastDay: nullable(localDaySchema),
})
export type LogbookFacets = Static<typeof logbookFacetsSchema>
export const facetsQuerySchema = object({ until: Type.Optional(localDaySchema) })

/** Which attributes somebody rates themselves on. */
const ratesSchema = object({
  setId: idSchema,
  attributeIds: Type.Array(Type.String({ maxLength: 16 }), {
    maxItems: MOST_ATTRIBUTES,
    description: 'None for all of the set',
  }),
})

export const newEntrySchema = object({
  day: localDaySchema,
  title: Type.String({ maxLength: LONGEST_ENTRY_TITLE }),
  lang: Type.Enum([...textLanguages]),
  sheetId: Type.Optional(nullable(idSchema)),
  about: Type.Optional(
    Type.Array(idSchema, { maxItems: MOST_ABOUT, description: 'The evidence that it begins with' }),
  ),
  rates: Type.Optional(ratesSchema),
})
export type NewEntry = Static<typeof newEntrySchema>

export const entrySchema = object({
  id: idSchema,
  logbookId: idSchema,
  logbookTitle: Type.String(),
  day: localDaySchema,
  tags: Type.Array(Type.String()),
  revision: Type.Integer({
    description: 'Of the day, the tags and the logbook; the words have their own, in the draft',
  }),
  binnedAt: nullable(instantSchema),
  draft: draftSchema,
})
export type Entry = Static<typeof entrySchema>

export const entryChangeSchema = Type.Partial(object({ day: localDaySchema, tags: tagsSchema }), {
  minProperties: 1,
})
export type EntryChange = Static<typeof entryChangeSchema>

export const entryMoveSchema = object({
  ids: Type.Array(idSchema, { minItems: 1, maxItems: MOST_MOVED }),
  logbookId: idSchema,
})
export type EntryMove = Static<typeof entryMoveSchema>
