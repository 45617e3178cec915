// The interface's words in the languages that ship; only the chosen one is loaded.
import { createInstance } from 'i18next'
import { initReactI18next } from 'react-i18next'
import type { Language } from '@valise/core/people'

const loaders = {
  en: async () => (await import('./en/index.ts')).en,
  es: async () => (await import('./es/index.ts')).es,
} as const satisfies Record<Language, () => Promise<object>>

const KEPT_UNDER = 'valise-language'

export const i18n = createInstance()

/** Starts with the language that was used last on this device, else the browser's. */
export async function startWords(): Promise<void> {
  const language = rememberedLanguage()
  await i18n.use(initReactI18next).init({
    lng: language,
    fallbackLng: false,
    defaultNS: 'app',
    resources: { [language]: await loaders[language]() },
    interpolation: { escapeValue: false },
    react: { useSuspense: false },
  })
  document.documentElement.lang = language
}

export async function speak(language: Language): Promise<void> {
  if (i18n.language === language) return
  for (const [namespace, words] of Object.entries(await loaders[language]())) {
    i18n.addResourceBundle(language, namespace, words)
  }
  await i18n.changeLanguage(language)
  document.documentElement.lang = language
  remember(language)
}

function rememberedLanguage(): Language {
  const wanted = recall() ?? navigator.language.slice(0, 2)
  return wanted === 'es' ? 'es' : 'en'
}

function recall(): string | null {
  try {
    return localStorage.getItem(KEPT_UNDER)
  } catch {
    // Storage may be closed to us; then the browser's language holds.
    return null
  }
}

function remember(language: Language): void {
  try {
    localStorage.setItem(KEPT_UNDER, language)
  } catch {
    // The language is kept with the person as well; without storage only the sign-in screen forgets it.
    return
  }
}
