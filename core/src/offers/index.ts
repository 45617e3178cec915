// What somebody writes, publishes in versions, and offers to classes or to the school.
export { mergeFields } from './mergeFields.ts'
export { mergeLists } from './mergeLists.ts'
export { newOfferedSchema, offeredFields, offeredListSchema, offeredSchemas, offersSchema } from './schema.ts'
export type {
  NewOffered,
  OfferedContent,
  OfferedRow,
  OfferedVersion,
  Offers,
  OfferSource,
  OwnOffered,
} from './schema.ts'
export { LONGEST_OFFERED_ABOUT, LONGEST_OFFERED_TITLE, offerSources } from './valueLists.ts'
