// Several words as one, as the language joins them: "A, B and C", "A, B or C".
import { useTranslation } from 'react-i18next'
import { localeOf } from './localeOf.ts'

export interface ListWords {
  all(words: readonly string[]): string
  any(words: readonly string[]): string
}

export function useListWords(): ListWords {
  const { i18n } = useTranslation()
  const join = (type: Intl.ListFormatType) => (words: readonly string[]) =>
    new Intl.ListFormat(localeOf(i18n.language), { type }).format(words)
  return { all: join('conjunction'), any: join('disjunction') }
}
