// An assessor asked for changes.
import type { NewsWords } from './NewsWords.ts'

export const changesAsked: NewsWords<'changes-asked'> = {
  say: ({ title, by }, { t, text }) => t('news.changes-asked', { title: text(title), by }),
  linkTo: ({ submissionId }) => `/submissions/${submissionId}`,
}
