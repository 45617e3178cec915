// Limits and lists of submissions, apart from the schemas so that the web can use them.

/** Which copy of a page is handed in. */
export const partCopies = ['published', 'draft'] as const
export type PartCopy = (typeof partCopies)[number]

export const MOST_PARTS = 30
export const LONGEST_FEEDBACK = 8000
/** How long an outcome can be undone by whoever gave it. */
export const OUTCOME_UNDO_SECONDS = 60
