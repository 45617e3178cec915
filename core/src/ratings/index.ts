// Self-ratings over time: read out of documents, never written over, and arranged into lines.
export { byDay, changeOf, greatestChange, growthOf, scaleOf } from './growth.ts'
export type { GrowthChange, GrowthLine } from './growth.ts'
export { ratingsIn } from './ratingsIn.ts'
export type { RatingInDocument } from './ratingsIn.ts'
export { reviseRatings } from './reviseRatings.ts'
export type { StoredRating } from './reviseRatings.ts'
export { ratedSetsSchema, ratingListSchema, ratingQuerySchema } from './schema.ts'
export type { RatedSet, Rating, RatingList } from './schema.ts'
