// A copy of a guide could not be handed in by itself.
import type { NewsWords } from './NewsWords.ts'

export const guideNotHandedIn: NewsWords<'guide-not-handed-in'> = {
  say: ({ title }, { t }) => t('news.guide-not-handed-in', { title }),
  linkTo: ({ copyId }) => `/guide-copies/${copyId}`,
}
