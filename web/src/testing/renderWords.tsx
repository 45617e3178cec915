// Components in tests, without a browser: what they say, in either language, to somebody who is signed in.
import { readdirSync, readFileSync } from 'node:fs'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import type { QueryKey } from '@tanstack/react-query'
import type { Language, SignedIn } from '@valise/core/people'
import { fieldSentences, reasonSentences } from '@valise/core/problems'
import { createInstance } from 'i18next'
import type { i18n } from 'i18next'
import type { ReactNode } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { I18nextProvider, initReactI18next } from 'react-i18next'
import { MemoryRouter } from 'react-router'
import { sessionQueries } from '../session/queries.ts'
import { UiSettingsProvider } from '../ui/settings.tsx'

const words = new URL('../words/', import.meta.url)
const instances = new Map<Language, i18n>()

/** All words of a language at once; in the browser they come with their screens. */
function wordsIn(language: Language): i18n {
  const known = instances.get(language)
  if (known) return known
  const folder = new URL(`${language}/`, words)
  const files = readdirSync(folder).filter((name) => name.endsWith('.json'))
  const namespaces = Object.fromEntries(
    files.map((name) => [name.replace('.json', ''), JSON.parse(readFileSync(new URL(name, folder), 'utf8'))]),
  )
  const problems = { reasons: reasonSentences, fields: fieldSentences }
  const instance = createInstance()
  // Nothing is fetched, so it is there at once.
  void instance.use(initReactI18next).init({
    lng: language,
    fallbackLng: false,
    defaultNS: 'app',
    resources: { [language]: language === 'en' ? { ...namespaces, problems } : namespaces },
    interpolation: { escapeValue: false },
    react: { useSuspense: false },
    initAsync: false,
  })
  instances.set(language, instance)
  return instance
}

/** A session for screens. */
export const wren = {
  state: 'signed-in',
  personId: 'wren',
  sessionId: 'session',
  shownName: 'Wren Adeyemi-Holt',
  fullName: 'Wren Adeyemi-Holt',
  administrator: false,
  memberships: [{ classId: 'methods', className: 'Shore Methods', classCode: 'FLD-204', role: 'student' }],
} as unknown as SignedIn

interface Around {
  readonly language?: Language
  readonly session?: SignedIn
  /** Where one is. */
  readonly path?: string
  /** What the server has answered already. */
  readonly answers?: readonly (readonly [QueryKey, unknown])[]
}

/** Renders a component to HTML. */
export function renderHtml(component: ReactNode, around: Around = {}): string {
  const { language = 'en', session = wren, path = '/', answers = [] } = around
  const client = new QueryClient({ defaultOptions: { queries: { retry: false, gcTime: Infinity } } })
  client.setQueryData(sessionQueries.me().queryKey, session)
  client.setQueryData(sessionQueries.school().queryKey, {
    name: 'Marram Bay Field College',
    timeZone: 'Europe/Lisbon',
    language: 'en',
  })
  for (const [key, answer] of answers) client.setQueryData(key, answer)
  const html = renderToStaticMarkup(
    <I18nextProvider i18n={wordsIn(language)}>
      <QueryClientProvider client={client}>
        <UiSettingsProvider timeZone="Europe/Lisbon" letterKeys>
          <MemoryRouter initialEntries={[path]}>{component}</MemoryRouter>
        </UiSettingsProvider>
      </QueryClientProvider>
    </I18nextProvider>,
  )
  // Without a cache of their own, styles stand beside what they are for.
  return html.replace(/<style[^>]*>.*?<\/style>/gs, '')
}

/** Renders a component to its words, one line per element, without what is only visible. */
export function renderWords(component: ReactNode, around: Around = {}): string {
  return wordsOf(renderHtml(component, around))
}

export function wordsOf(html: string): string {
  return html
    .replace(/<\/?(b|em|span|small|a|strong)\b[^>]*>/g, '')
    .replace(/<[^>]+>/g, '\n')
    .replaceAll('&#x27;', "'")
    .replaceAll('&quot;', '"')
    .replaceAll('&amp;', '&')
    .replace(/[ \t]+/g, ' ')
    .replace(/\s*\n\s*/g, '\n')
    .trim()
}

/** Returns the words of some HTML on one line. */
export function inOneLine(html: string): string {
  return html.replace(/<[^>]+>/g, ' ').replace(/\s+/g, ' ')
}
