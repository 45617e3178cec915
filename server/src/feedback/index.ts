// Feedback and news: what others said, and what happened.
export { feedbackRoutes } from './routes.ts'
export { takeFeedback, insertFeedback, listFeedbackOn, listOpenFeedback } from './threadStore.ts'
export { forgetNews, listNews, markNewsSeen, tellNews } from './store.ts'
export type { NewsToTell } from './store.ts'
