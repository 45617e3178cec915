// Lists of texts as forms show them: one text on each line, in every language.
import { languages } from '@valise/core/people'
import type { Language, Localized } from '@valise/core/people'

/** A text, or a list of texts by lines, in each language. */
export type Texts = Readonly<Record<Language, string>>

/** Returns a list of texts by lines, in each language. */
export function toLines(list: readonly Localized[]): Texts {
  const inLanguage = (language: Language) =>
    list
      .map((text) => text[language] ?? '')
      .join('\n')
      .trimEnd()
  return { en: inLanguage('en'), es: inLanguage('es') }
}

/** Joins lines of several languages: the n-th line of each is one text. */
export function fromLines(texts: Texts): Localized[] {
  const lines = languages.map(
    (language) =>
      [language, texts[language].trim() === '' ? [] : texts[language].trim().split('\n')] as const,
  )
  const count = Math.max(...lines.map(([, some]) => some.length))
  return Array.from({ length: count }, (_, at) =>
    Object.fromEntries(
      lines.flatMap(([language, some]) => {
        const line = some[at]?.trim() ?? ''
        return line === '' ? [] : [[language, line] as const]
      }),
    ),
  ).filter((text) => Object.keys(text).length > 0)
}
