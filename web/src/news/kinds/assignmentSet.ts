// An assignment was set for a class.
import type { NewsWords } from './NewsWords.ts'

export const assignmentSet: NewsWords<'assignment-set'> = {
  say: ({ title, className }, { t, text }) => t('news.assignment-set', { title: text(title), className }),
  linkTo: ({ assignmentId }) => `/assignments/${assignmentId}`,
}
