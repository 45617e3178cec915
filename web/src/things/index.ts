// What the screens know of things of all kinds.
export { thingQueries } from './queries.ts'
export { uiByKind } from './uiByKind.ts'
export { useThingWords } from './useThingWords.ts'
