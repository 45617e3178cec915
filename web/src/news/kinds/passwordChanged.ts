// Somebody’s password is another one now.
import type { NewsWords } from './NewsWords.ts'

export const passwordChanged: NewsWords<'password-changed'> = {
  say: (_, { t }) => t('news.password-changed'),
  linkTo: () => null,
}
