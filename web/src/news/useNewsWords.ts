// News in words.
import type { NewsItem } from '@valise/core/news'
import { textIn } from '@valise/core/people'
import { useTranslation } from 'react-i18next'
import { newsWordsOf } from './wordsByKind.ts'

export function useNewsWords(): (item: NewsItem) => string {
  const { t, i18n } = useTranslation('feedback')
  return ({ kind, params }) =>
    newsWordsOf(kind).say(params, { t, text: (localized) => textIn(localized, i18n.language) })
}
