// Limits and lists of pages, apart from the schemas so that the web can use them.
export const pieceKinds = ['text', 'picture', 'file', 'entry', 'line'] as const
export type PieceKind = (typeof pieceKinds)[number]

/** Columns that a row has; a piece takes some of them, and what does not fit goes on in the next line. */
export const COLUMNS = 12
/** A piece narrower than this cannot be read. */
export const NARROWEST = 2
/** The number that new documents carry; see `upgradeDocument`. */
export const DOCUMENT_SCHEMA = 1

export const LONGEST_PAGE_TITLE = 200
export const LONGEST_ALTERNATIVE = 1000
/** Characters of one text, counted as its JSON. */
export const LONGEST_TEXT = 200_000
/** Characters of all that stands on a page, counted as its JSON. */
export const LONGEST_DOCUMENT = 2_000_000
export const MOST_ROWS = 300
export const MOST_PIECES_IN_ROW = 24
export const MOST_OPERATIONS = 100
/** How deep lists and quotes may lie within each other. */
export const DEEPEST_TEXT = 12

/** Languages that a text may be marked with, by their BCP 47 tags. */
export const textLanguages = ['en', 'es', 'pt', 'fr', 'de', 'it', 'la'] as const
