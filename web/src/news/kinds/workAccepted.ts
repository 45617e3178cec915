// An assessor accepted what was handed in.
import type { NewsWords } from './NewsWords.ts'

export const workAccepted: NewsWords<'work-accepted'> = {
  say: ({ title, by }, { t, text }) => t('news.work-accepted', { title: text(title), by }),
  linkTo: ({ submissionId }) => `/submissions/${submissionId}`,
}
