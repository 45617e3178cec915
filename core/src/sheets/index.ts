// Question sheets: named questions that structure an entry or a statement.
export { mergeSheets } from './mergeSheets.ts'
export { sheetContentSchema, sheetSchemas } from './schema.ts'
export type { SheetContent, SheetVersion } from './schema.ts'
export { questionFaults, sheetFaults } from './sheetFaults.ts'
export type { QuestionFault } from './sheetFaults.ts'
export { shippedSheets } from './shipped/shippedSheets.ts'
export { takeSheet } from './takeSheet.ts'
export type { Asking } from './takeSheet.ts'
