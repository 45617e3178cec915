// The lists of values of passes; apart from the schemas, so that the web gets no validator with them.

/** What a pass allows. The other rights include `look`. */
export const accessRights = ['look', 'comment', 'copy'] as const
export type AccessRight = (typeof accessRights)[number]

export const LONGEST_LINK_NAME = 80
/** The most passes that one thing can have, ended ones not counted. */
export const MOST_PASSES = 60
