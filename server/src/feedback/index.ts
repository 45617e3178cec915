// Feedback and news: what others said, and what happened.
export { feedbackRoutes } from './routes.ts'
export { tellNews } from './store.ts'
export type { NewsToTell } from './store.ts'
