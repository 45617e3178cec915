// Feedback threads.
export { FeedbackThread } from './FeedbackThread.tsx'
