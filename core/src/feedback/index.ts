// Feedback and news: what others said, and what happened.
export { newsItemSchema, newsKinds, newsPageSchema } from './news.ts'
export type { NewsItem, NewsKind, NewsPage } from './news.ts'
