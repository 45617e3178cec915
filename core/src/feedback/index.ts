// Feedback: what assessors and students say to each other.
export { feedbackListSchema, feedbackSchema, newFeedbackSchema } from './schema.ts'
export type { Feedback, NewFeedback } from './schema.ts'
