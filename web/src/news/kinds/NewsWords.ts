// What a kind of news says, and where it leads.
import type { NewsKind, NewsParams } from '@valise/core/news'
import type { Localized } from '@valise/core/people'
import type { TFunction } from 'i18next'

export interface NewsWords<K extends NewsKind> {
  say(params: NewsParams<K>, say: Say): string
  /** The address of what it is about; null where there is nothing to open. */
  linkTo(params: NewsParams<K>): string | null
}

interface Say {
  readonly t: TFunction<'feedback'>
  /** A text in the reader's language. */
  text(localized: Localized): string
}
