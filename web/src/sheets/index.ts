// Question sheets: choosing one, answering its questions, writing one's own.
export { AnswerColumn } from './AnswerColumn.tsx'
export { SheetField } from './SheetField.tsx'
export { useAnswers } from './useAnswers.ts'
export { useTakeSheet } from './useTakeSheet.ts'
export { sheetQueries } from './queries.ts'
export { loadSheetScreen, loadSheetsScreen } from './loaders.ts'
