// Feedback: what is said about submissions.
export { takeFeedback, insertFeedback, listFeedbackOn, listOpenFeedback } from './threadStore.ts'
