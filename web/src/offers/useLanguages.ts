// Which languages something is written in: those that it has, or that of the interface.
import type { Localized } from '@valise/core/people'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'

/** @param texts those that tell which languages it has */
export function useLanguages(texts: readonly Localized[]) {
  const { i18n } = useTranslation()
  const own = i18n.language === 'es' ? ('es' as const) : ('en' as const)
  const has = (language: 'en' | 'es') => texts.some((text) => (text[language] ?? '') !== '')
  const [isBoth, setIsBoth] = useState(has('en') && has('es'))
  const other = own === 'es' ? ('en' as const) : ('es' as const)
  const first = has(other) && !has(own) ? other : own
  const languages = isBoth ? (['en', 'es'] as const) : ([first] as const)
  return { languages, isBoth, setIsBoth }
}
