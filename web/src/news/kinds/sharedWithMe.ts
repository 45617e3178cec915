// Somebody shared a thing with one person.
import { screenOf } from '@valise/core/things'
import type { NewsWords } from './NewsWords.ts'

export const sharedWithMe: NewsWords<'shared-with-me'> = {
  say: ({ kind, name }, { t }) => t(`news.shared-with-me_${kind}`, { name }),
  linkTo: ({ kind, thingId }) => screenOf(kind, thingId),
}
