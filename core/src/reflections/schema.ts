// Logbooks and their dated entries. An entry's words and evidence are a document like a page's.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { draftSchema, textLanguages } from '../pages/index.ts'
import { instantSchema, localDaySchema } from '../time/index.ts'
import { LONGEST_ENTRY_TITLE, LONGEST_LOGBOOK_TITLE } from './valueLists.ts'

const logbookTitle = Type.String({ minLength: 1, maxLength: LONGEST_LOGBOOK_TITLE })

export const newLogbookSchema = object({ title: logbookTitle })

const logbookRowSchema = object({
  id: idSchema,
  title: Type.String(),
  entries: Type.Integer(),
  lastDay: nullable(localDaySchema),
  revision: Type.Integer(),
})
export type LogbookRow = Static<typeof logbookRowSchema>
export const logbookListSchema = Type.Array(logbookRowSchema)

const entryRowSchema = object({
  id: idSchema,
  logbookId: idSchema,
  day: localDaySchema,
  title: Type.String(),
  beginning: Type.String({ description: 'The first words' }),
  words: Type.Integer(),
  evidence: Type.Integer({ description: 'How many things stand beside the words' }),
  changedAt: instantSchema,
  binnedAt: nullable(instantSchema),
})
export type EntryRow = Static<typeof entryRowSchema>

export const entryListSchema = object({
  items: Type.Array(entryRowSchema),
  next: nullable(Type.String()),
  count: Type.Integer(),
})
export type EntryList = Static<typeof entryListSchema>

export const logbookSchema = logbookRowSchema
export type Logbook = LogbookRow

export const newEntrySchema = object({
  day: localDaySchema,
  title: Type.String({ maxLength: LONGEST_ENTRY_TITLE }),
  lang: Type.Enum([...textLanguages]),
})
export type NewEntry = Static<typeof newEntrySchema>

export const entrySchema = object({
  id: idSchema,
  logbookId: idSchema,
  logbookTitle: Type.String(),
  day: localDaySchema,
  revision: Type.Integer({
    description: 'Of the day and the logbook; the words have their own, in the draft',
  }),
  binnedAt: nullable(instantSchema),
  draft: draftSchema,
})
export type Entry = Static<typeof entrySchema>

export const entryChangeSchema = object({ day: localDaySchema })
