// Limits of collections, apart from the schemas so that the web can use them.
export const LONGEST_COLLECTION_TITLE = 200
export const LONGEST_DIVIDER = 200
export const MOST_ITEMS = 1000
export const MOST_COLLECTION_OPERATIONS = 100
