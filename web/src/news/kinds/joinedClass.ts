// Somebody is in a class from now on.
import type { NewsWords } from './NewsWords.ts'

export const joinedClass: NewsWords<'joined-class'> = {
  say: ({ role, className }, { t }) => t(`news.joined-class_${role}`, { className }),
  linkTo: () => null,
}
