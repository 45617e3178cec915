// Limits of sets of attributes, apart from the schemas so that the web can use them.

/** The fewest steps of a scale; the most are those of every scale. */
export const LEAST_STEPS = 3
export const MOST_ATTRIBUTES = 40
export const LONGEST_ATTRIBUTE_NAME = 120
export const LONGEST_MEANING = 600
export const LONGEST_LOOKS = 400
