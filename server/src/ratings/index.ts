// Self-ratings over time.
export { ratingRoutes } from './routes.ts'
export { noteRatings } from './service.ts'
export { moveFirst as moveFirstRatings } from './store.ts'
