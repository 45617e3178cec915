// Collections: ordered trees of pages, dividers and collections.
export { applyCollectionOperations, thingOf } from './applyCollectionOperations.ts'
export { edgesOf, reachOf, wouldCircle } from './reach.ts'
export type { Container, Edge, Reach } from './reach.ts'
export { isDraft } from './isDraft.ts'
export { pagesToRead, readingOrder } from './readingOrder.ts'
export type { ReadableThing } from './readingOrder.ts'
export {
  collectionChangeSchema,
  collectionListSchema,
  collectionSchema,
  heldThingSchema,
  newCollectionSchema,
  outlineLineSchema,
} from './schema.ts'
export type {
  Arrangement,
  Collection,
  CollectionItem,
  CollectionList,
  CollectionOperation,
  CollectionRow,
  HeldThing,
  OutlineLine,
} from './schema.ts'
export { LONGEST_COLLECTION_TITLE, LONGEST_DIVIDER } from './valueLists.ts'
