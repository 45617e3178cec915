// Limits of logbooks and entries, apart from the schemas so that the web can use them.
export const LONGEST_LOGBOOK_TITLE = 120
export const LONGEST_ENTRY_TITLE = 200
