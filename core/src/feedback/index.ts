// Feedback and news: what others said, and what happened.
export { feedbackListSchema, feedbackSchema, newFeedbackSchema } from './schema.ts'
export type { Feedback, NewFeedback } from './schema.ts'
export { newsItemSchema, newsKinds, newsPageSchema } from './news.ts'
export type { NewsItem, NewsKind, NewsPage } from './news.ts'
