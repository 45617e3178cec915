// No limit, apart from the schemas so that the web can use it.
import type { WordLimits } from './fieldParts.ts'

export const anyLength: WordLimits = { least: 0, most: null }
