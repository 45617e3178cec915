// Somebody said something about a copy of a guide.
import type { NewsWords } from './NewsWords.ts'

export const guideFeedback: NewsWords<'guide-feedback'> = {
  say: ({ title, by }, { t }) => t('news.guide-feedback', { title, by }),
  linkTo: ({ copyId }) => `/guide-copies/${copyId}`,
}
