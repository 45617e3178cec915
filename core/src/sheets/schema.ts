// Question sheets: what their author writes, and what others take up.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { localizedDraftSchema } from '../people/index.ts'
import { LONGEST_SHEET_TITLE, MOST_SHEET_QUESTIONS, questionSchema } from '../pages/index.ts'
import { idSchema, nullable, object } from '../schemas/index.ts'
import { instantSchema } from '../time/index.ts'
import { LONGEST_SHEET_ABOUT, MOST_OFFERS, sheetSources } from './valueLists.ts'

export const sheetContentSchema = object({
  title: localizedDraftSchema(LONGEST_SHEET_TITLE),
  about: localizedDraftSchema(LONGEST_SHEET_ABOUT),
  questions: Type.Array(questionSchema, { maxItems: MOST_SHEET_QUESTIONS }),
})
export type SheetContent = Static<typeof sheetContentSchema>

const sheetRowSchema = object({
  id: idSchema,
  n: Type.Integer({ minimum: 0, description: 'The newest version; 0 for one that was never published' }),
  title: localizedDraftSchema(LONGEST_SHEET_TITLE),
  about: localizedDraftSchema(LONGEST_SHEET_ABOUT),
  questions: Type.Integer({ minimum: 0, description: 'How many it has' }),
  source: Type.Enum([...sheetSources]),
  ownerName: nullable(Type.String({ description: 'Who offers it' })),
  isNewer: Type.Boolean({ description: 'Whether its author changed it since it was published' }),
})
export type SheetRow = Static<typeof sheetRowSchema>
export const sheetListSchema = Type.Array(sheetRowSchema)

export const newSheetSchema = object({
  title: localizedDraftSchema(LONGEST_SHEET_TITLE),
  from: Type.Optional(Type.String({ format: 'uuid', description: 'The sheet to copy' })),
})
export type NewSheet = Static<typeof newSheetSchema>

const offersSchema = Type.Array(idSchema, { maxItems: MOST_OFFERS, description: 'Classes' })

/** A sheet as its author sees it. */
export const ownSheetSchema = object({
  id: idSchema,
  revision: Type.Integer(),
  content: sheetContentSchema,
  n: Type.Integer({ minimum: 0 }),
  publishedAt: nullable(instantSchema),
  isNewer: Type.Boolean(),
  offers: offersSchema,
  binnedAt: nullable(instantSchema),
})
export type OwnSheet = Static<typeof ownSheetSchema>

/** A version of a sheet, as whoever may take it up sees it. */
export const sheetVersionSchema = object({
  id: idSchema,
  n: Type.Integer({ minimum: 1 }),
  source: Type.Enum([...sheetSources]),
  content: sheetContentSchema,
})
export type SheetVersion = Static<typeof sheetVersionSchema>

export const sheetChangeSchema = object({ content: sheetContentSchema })
export const sheetOffersSchema = object({ classIds: offersSchema })
