// What was handed in could not be sealed; it is handed in again where it was handed in.
import type { NewsWords } from './NewsWords.ts'

export const sealingFailed: NewsWords<'sealing-failed'> = {
  say: ({ title }, { t, text }) => t('news.sealing-failed', { title: text(title) }),
  linkTo: ({ assignmentId }) => `/assignments/${assignmentId}`,
}
