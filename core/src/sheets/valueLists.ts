// Limits of question sheets, apart from the schemas so that the web can use them.

/** Where a sheet comes from: one made it oneself, somebody offers it to one's class, or it ships with Valise. */
export const sheetSources = ['mine', 'class', 'shipped'] as const

export const LONGEST_SHEET_ABOUT = 400
/** The most classes that a sheet is offered to. */
export const MOST_OFFERS = 100
