// Somebody shared a thing with one person.
import type { NewsWords } from './NewsWords.ts'

export const sharedWithMe: NewsWords<'shared-with-me'> = {
  say: ({ kind, name }, { t }) => t(`news.shared-with-me_${kind}`, { name }),
  linkTo: ({ kind, thingId }) => `/${kind}s/${thingId}`,
}
