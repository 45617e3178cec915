// Somebody is no longer in a class.
import type { NewsWords } from './NewsWords.ts'

export const leftClass: NewsWords<'left-class'> = {
  say: ({ role, className }, { t }) => t(`news.left-class_${role}`, { className }),
  linkTo: () => null,
}
