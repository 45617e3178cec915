// Question sheets: what their author writes, and what others take up.
import { Type } from 'typebox'
import type { Static } from 'typebox'
import { offeredFields, offeredSchemas } from '../offers/index.ts'
import type { OfferedVersion } from '../offers/index.ts'
import { MOST_SHEET_QUESTIONS, questionSchema } from '../pages/index.ts'
import { object } from '../schemas/index.ts'

export const sheetContentSchema = object({
  ...offeredFields,
  questions: Type.Array(questionSchema, { maxItems: MOST_SHEET_QUESTIONS }),
})
export type SheetContent = Static<typeof sheetContentSchema>

export const sheetSchemas = offeredSchemas<SheetContent>(sheetContentSchema)

/** A version of a sheet, as whoever may take it up sees it. */
export type SheetVersion = OfferedVersion<SheetContent>
