// The lists of values of passes; apart from the schemas, so that the web gets no validator with them.

/** What a pass lets its audience do. To look comes with each of the others. */
export const accessRights = ['look', 'comment', 'copy'] as const
export type AccessRight = (typeof accessRights)[number]

/** Whom a pass is for. */
export const audienceKinds = ['person', 'assessors', 'class', 'link'] as const
export type AudienceKind = (typeof audienceKinds)[number]

export const thingKinds = ['page', 'collection'] as const
export type ThingKind = (typeof thingKinds)[number]

export const LONGEST_LINK_NAME = 80
/** Passes that one thing may have, ended ones apart. */
export const MOST_PASSES = 60
