// Limits of what is offered, apart from the schemas so that the web can use them.

/** Where it comes from: one made it oneself, somebody offers it to one's class, the school keeps it, or it ships. */
export const offerSources = ['mine', 'class', 'school', 'shipped'] as const

export const LONGEST_OFFERED_TITLE = 120
export const LONGEST_OFFERED_ABOUT = 400
/** The most classes that one thing is offered to. */
export const MOST_OFFERS = 100
