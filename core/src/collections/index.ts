// Collections: ordered trees of pages, dividers and collections.
export { applyCollectionOperations, thingOf } from './applyCollectionOperations.ts'
export { edgesOf, reachOf, wouldCircle } from './reach.ts'
export type { Container, Edge, Reach } from './reach.ts'
export { isDraft } from './isDraft.ts'
export { pagesToRead, readingOrder } from './readingOrder.ts'
export type { ReadableCollection, ReadableThing } from './readingOrder.ts'
export {
  arrangementSchema,
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
  CollectionChange,
  CollectionItem,
  CollectionList,
  CollectionOperation,
  CollectionRow,
  HeldThing,
  NewCollection,
  OutlineLine,
} from './schema.ts'
export {
  LONGEST_COLLECTION_TITLE,
  LONGEST_DIVIDER,
  MOST_COLLECTION_OPERATIONS,
  MOST_ITEMS,
} from './valueLists.ts'
