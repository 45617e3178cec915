// What was handed in is sealed, and has a receipt.
import type { NewsWords } from './NewsWords.ts'

export const copySealed: NewsWords<'copy-sealed'> = {
  say: ({ title, number }, { t, text }) => t('news.copy-sealed', { title: text(title), number }),
  linkTo: ({ submissionId }) => `/submissions/${submissionId}`,
}
