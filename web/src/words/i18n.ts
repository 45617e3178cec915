// The interface's words in the languages that ship; only the chosen one is loaded.
import { createInstance } from 'i18next'
import { initReactI18next } from 'react-i18next'
import type { Language } from '@valise/core/people'
import { inBothLanguages } from './inBothLanguages.ts'

const loaders = inBothLanguages(
  { always: async () => (await import('./en/index.ts')).en },
  { always: async () => (await import('./es/index.ts')).es },
)

/** The words of single screens, fetched with them. */
const screenLoaders = inBothLanguages(
  {
    access: async () => (await import('./en/access.json')).default,
    assignments: async () => (await import('./en/assignments.json')).default,
    attributes: async () => (await import('./en/attributes.json')).default,
    guides: async () => (await import('./en/guides.json')).default,
    bench: async () => (await import('./en/bench.json')).default,
    classes: async () => (await import('./en/classes.json')).default,
    collage: async () => (await import('./en/collage.json')).default,
    collections: async () => (await import('./en/collections.json')).default,
    desk: async () => (await import('./en/desk.json')).default,
    evidence: async () => (await import('./en/evidence.json')).default,
    gather: async () => (await import('./en/gather.json')).default,
    offers: async () => (await import('./en/offers.json')).default,
    pages: async () => (await import('./en/pages.json')).default,
    people: async () => (await import('./en/people.json')).default,
    problems: async () => (await import('./en/problems.ts')).problems,
    ratings: async () => (await import('./en/ratings.json')).default,
    reading: async () => (await import('./en/reading.json')).default,
    records: async () => (await import('./en/records.json')).default,
    reflections: async () => (await import('./en/reflections.json')).default,
    sheets: async () => (await import('./en/sheets.json')).default,
    submissions: async () => (await import('./en/submissions.json')).default,
  },
  {
    access: async () => (await import('./es/access.json')).default,
    assignments: async () => (await import('./es/assignments.json')).default,
    attributes: async () => (await import('./es/attributes.json')).default,
    guides: async () => (await import('./es/guides.json')).default,
    bench: async () => (await import('./es/bench.json')).default,
    classes: async () => (await import('./es/classes.json')).default,
    collage: async () => (await import('./es/collage.json')).default,
    collections: async () => (await import('./es/collections.json')).default,
    desk: async () => (await import('./es/desk.json')).default,
    evidence: async () => (await import('./es/evidence.json')).default,
    gather: async () => (await import('./es/gather.json')).default,
    offers: async () => (await import('./es/offers.json')).default,
    pages: async () => (await import('./es/pages.json')).default,
    people: async () => (await import('./es/people.json')).default,
    problems: async () => (await import('./es/problems.json')).default,
    ratings: async () => (await import('./es/ratings.json')).default,
    reading: async () => (await import('./es/reading.json')).default,
    records: async () => (await import('./es/records.json')).default,
    reflections: async () => (await import('./es/reflections.json')).default,
    sheets: async () => (await import('./es/sheets.json')).default,
    submissions: async () => (await import('./es/submissions.json')).default,
  },
)
export type ScreenWords = keyof (typeof screenLoaders)['en']

const needed = new Set<ScreenWords>()
/** The language that is spoken, or that is just being fetched. */
let wanted: Language = 'en'

const KEPT_UNDER = 'valise-language'

const i18n = createInstance()

let markStarted: () => void = () => undefined
/** The router asks for the words of the first screen before there are any. */
const started = new Promise<void>((resolve) => (markStarted = resolve))

/** Starts with the language that was last used on this device, else the browser's. */
export async function startWords(): Promise<void> {
  const language = rememberedLanguage()
  wanted = language
  await i18n.use(initReactI18next).init({
    lng: language,
    fallbackLng: false,
    defaultNS: 'app',
    resources: { [language]: await loaders[language].always() },
    interpolation: { escapeValue: false },
    // What is shown follows words that come in later.
    react: { useSuspense: false, bindI18nStore: 'added' },
  })
  document.documentElement.lang = language
  markStarted()
}

export async function speak(language: Language): Promise<void> {
  if (i18n.language === language) return
  wanted = language
  for (const [namespace, words] of Object.entries(await loaders[language].always())) {
    i18n.addResourceBundle(language, namespace, words)
  }
  for (const name of needed) await fetchWords(language, name)
  await i18n.changeLanguage(language)
  document.documentElement.lang = language
  remember(language)
}

/**
 * Loads the words of a screen before it is shown; from then on they follow the language. The problem sentences are
 * loaded along, so that they can be shown without the server.
 */
export async function needWords(name: ScreenWords): Promise<void> {
  await started
  const names = [name, 'problems'] as const
  for (const one of names) needed.add(one)
  await Promise.all(names.map((one) => fetchWords(wanted, one)))
}

async function fetchWords(language: Language, name: ScreenWords): Promise<void> {
  if (i18n.hasResourceBundle(language, name)) return
  i18n.addResourceBundle(language, name, await screenLoaders[language][name]())
}

function rememberedLanguage(): Language {
  const remembered = recall() ?? navigator.language.slice(0, 2)
  return remembered === 'es' ? 'es' : 'en'
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
    // The language is saved with the person, too; without storage only the sign-in screen forgets it.
    return
  }
}
