// An assessor opened a sealed copy.
import type { NewsWords } from './NewsWords.ts'

export const copyOpened: NewsWords<'copy-opened'> = {
  say: ({ title, by }, { t, text }) => t('news.copy-opened', { title: text(title), by }),
  linkTo: ({ submissionId }) => `/submissions/${submissionId}`,
}
