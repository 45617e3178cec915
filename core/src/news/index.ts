// News: what happened to a person or to their things.
export { newsKinds } from './newsParams.ts'
export type { NewsKind, NewsParams } from './newsParams.ts'
export { newsPageSchema } from './schema.ts'
export type { NewsItem, NewsPage } from './schema.ts'
