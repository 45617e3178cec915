// Question sheets: named questions that structure an entry or a statement.
export { mergeSheets } from './mergeSheets.ts'
export {
  newSheetSchema,
  ownSheetSchema,
  sheetChangeSchema,
  sheetContentSchema,
  sheetListSchema,
  sheetOffersSchema,
  sheetVersionSchema,
} from './schema.ts'
export type { NewSheet, OwnSheet, SheetContent, SheetRow, SheetVersion } from './schema.ts'
export { sheetFaults } from './sheetFaults.ts'
export { shippedSheets } from './shipped/shippedSheets.ts'
export { takeSheet } from './takeSheet.ts'
export type { Asking } from './takeSheet.ts'
export { LONGEST_SHEET_ABOUT, sheetSources } from './valueLists.ts'
