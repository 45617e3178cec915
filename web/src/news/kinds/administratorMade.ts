// Somebody administers the school from now on.
import type { NewsWords } from './NewsWords.ts'

export const administratorMade: NewsWords<'administrator-made'> = {
  say: (_, { t }) => t('news.administrator-made'),
  linkTo: () => null,
}
