// Question sheets: choosing one, answering its questions, writing one's own.
export { AnswerColumn } from './AnswerColumn.tsx'
export { SheetField } from './SheetField.tsx'
export { fetchNewest, sheetQueries } from './queries.ts'
export { loadSheetScreen, loadSheetsScreen } from './loaders.ts'
