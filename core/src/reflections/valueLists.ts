// Limits of logbooks and entries, apart from the schemas so that the web can use them.
export const LONGEST_LOGBOOK_TITLE = 120
export const LONGEST_LOGBOOK_SUMMARY = 600
export const LONGEST_ENTRY_TITLE = 200
/** The most evidence that an entry begins with. */
export const MOST_ABOUT = 20
/** The most entries that are moved at once. */
export const MOST_MOVED = 200
/** How many days a strip of days shows at once. */
export const STRIP_DAYS = 56

/** What lists of entries can be narrowed to, beside words, tag, days and sheet. */
export const entryMarks = ['spoken', 'feedback'] as const
export type EntryMark = (typeof entryMarks)[number]
