// Reflections: logbooks and their dated entries.
export {
  answersOf,
  changeSheet,
  EVIDENCE_ROW,
  newEntryDocument,
  outlineOf,
  textPieceOf,
  WORDS_ROW,
} from './entryDocument.ts'
export type { AnswerInEntry, EntryOutline } from './entryDocument.ts'
export {
  entryChangeSchema,
  entryListSchema,
  entrySchema,
  logbookListSchema,
  logbookSchema,
  newEntrySchema,
  newLogbookSchema,
} from './schema.ts'
export type { Entry, EntryList, EntryRow, Logbook, LogbookRow, NewEntry } from './schema.ts'
export { LONGEST_ENTRY_TITLE, LONGEST_LOGBOOK_TITLE } from './valueLists.ts'
