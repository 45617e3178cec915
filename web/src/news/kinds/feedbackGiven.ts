// Somebody said something about a submission.
import type { NewsWords } from './NewsWords.ts'

export const feedbackGiven: NewsWords<'feedback-given'> = {
  say: ({ title, by }, { t, text }) => t('news.feedback-given', { title: text(title), by }),
  linkTo: ({ submissionId }) => `/submissions/${submissionId}`,
}
