// What the screens know of question sheets, and what they can have done with them.
import type { SheetContent } from '@valise/core/sheets'
import { offeredApi } from '../offers/index.ts'

export const sheetApi = offeredApi<SheetContent>('/api/sheets', 'sheets')
export const sheetQueries = sheetApi.queries
