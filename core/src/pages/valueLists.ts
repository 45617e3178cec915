// Limits and lists of pages, apart from the schemas so that the web can use them.

/** The sorts of content that somebody can ask a page for. */
export const contentSorts = ['text', 'picture', 'video', 'audio', 'data-table', 'file', 'entry'] as const
export type ContentSort = (typeof contentSorts)[number]

/** The columns of a row; a piece that does not fit wraps to the next line. */
export const COLUMNS = 12
/** The smallest span of a piece that can still be read. */
export const NARROWEST = 2
/** The schema number of new documents; see `upgradeDocument`. */
export const DOCUMENT_SCHEMA = 1

export const LONGEST_PAGE_TITLE = 200
export const LONGEST_ALTERNATIVE = 1000
/** The most characters of one text, counted as JSON. */
export const LONGEST_TEXT = 200_000
/** The most characters of a document, counted as JSON. */
export const LONGEST_DOCUMENT = 2_000_000
export const MOST_ROWS = 300
export const MOST_PIECES_IN_ROW = 24
/** Enough to take up the longest sheet of questions in one step. */
export const MOST_OPERATIONS = 600
/** The most questions of a sheet. */
export const MOST_SHEET_QUESTIONS = 200
/** In which order a page shows the entries of a logbook, and the most of them. */
export const logbookOrders = ['newest', 'oldest'] as const
export const MOST_ENTRIES_SHOWN = 50
export const LONGEST_ASKED = 500
export const LONGEST_HINT = 1000
export const LONGEST_OPTION = 200
export const LONGEST_SHORT_ANSWER = 500
export const LONGEST_REASON = 4000
export const MOST_ANSWER_WORDS = 5000
export const MOST_OPTIONS = 20
export const MOST_SCALE_STEPS = 7
export const MOST_STEPS = 40
/** The most pages, and the most names, that answer one question. */
export const MOST_CHOSEN_PAGES = 5
export const MOST_NAMES_GIVEN = 30
export const LONGEST_NAME_GIVEN = 80
/** Of what begins with a row, such as a stage. */
export const LONGEST_ROW_HEADING = 200
/** How deep lists and quotes can be nested. */
export const DEEPEST_TEXT = 12

/** The languages that a text can be marked with (BCP 47). */
export const textLanguages = ['en', 'es', 'pt', 'fr', 'de', 'it', 'la'] as const
