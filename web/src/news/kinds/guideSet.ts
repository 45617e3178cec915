// A guide was set for a class.
import type { NewsWords } from './NewsWords.ts'

export const guideSet: NewsWords<'guide-set'> = {
  say: ({ title, className }, { t, text }) => t('news.guide-set', { title: text(title), className }),
  linkTo: () => '/guide-copies',
}
