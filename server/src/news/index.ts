// News: what happened to people, told to each.
export { newsRoutes } from './routes.ts'
export { forgetNews, listNews, markNewsSeen, tellNews } from './store.ts'
export type { NewsToTell } from './store.ts'
