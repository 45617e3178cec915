// Limits and lists of assignments, apart from the schemas so that the web can use them.

/** How firmly a requirement is meant: a missing `must` is a gap that can block handing in. */
export const weights = ['must', 'should'] as const
export type Weight = (typeof weights)[number]

/** The schema number of new requirements and results; see `upgradeRequirements`. */
export const REQUIREMENTS_SCHEMA = 1

export const LONGEST_ASSIGNMENT_TITLE = 160
export const LONGEST_BRIEF = 4000
export const LONGEST_QUESTION = 300
export const LONGEST_TERM = 400
export const LONGEST_LEVEL = 60
export const MOST_REQUIREMENTS = 20
export const MOST_WANTED_PIECES = 7
export const MOST_QUESTIONS = 8
export const MOST_TERMS = 6
export const FEWEST_LEVELS = 2
export const MOST_LEVELS = 8
export const MOST_STATEMENT_WORDS = 5000
