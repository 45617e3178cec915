// Reflections: logbooks and their dated entries.
export {
  addQuestions,
  answersOf,
  changeSheet,
  EVIDENCE_ROW,
  newEntryDocument,
  outlineOf,
  textPieceOf,
  WORDS_ROW,
} from './entryDocument.ts'
export type { AnswerInEntry, EntryOutline } from './entryDocument.ts'
export { speakInto, spokenIn } from './spokenEntry.ts'
export {
  entryChangeSchema,
  entryListSchema,
  entryMoveSchema,
  entryQuerySchema,
  entryReadingSchema,
  entrySchema,
  facetsQuerySchema,
  logbookChangeSchema,
  logbookFacetsSchema,
  logbookListSchema,
  logbookSchema,
  newEntrySchema,
  newLogbookSchema,
} from './schema.ts'
export type {
  Entry,
  EntryChange,
  EntryList,
  EntryMove,
  EntryQuery,
  EntryReading,
  EntryRow,
  Logbook,
  LogbookChange,
  LogbookFacets,
  LogbookRow,
  NewEntry,
} from './schema.ts'
export {
  entryMarks,
  LONGEST_ENTRY_TITLE,
  LONGEST_LOGBOOK_SUMMARY,
  LONGEST_LOGBOOK_TITLE,
  MOST_ABOUT,
  STRIP_DAYS,
} from './valueLists.ts'
export type { EntryMark } from './valueLists.ts'
