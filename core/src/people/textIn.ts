// Which of several languages a reader gets.
import type { Localized } from './localized.ts'
import { languages } from './valueLists.ts'

/** The text in the wanted language, or in the first one that there is; empty where there is none. */
export function textIn(text: Localized, wanted: string): string {
  const found = languages.find((language) => language === wanted && text[language] !== undefined)
  const first = languages.find((language) => text[language] !== undefined)
  const language = found ?? first
  return language === undefined ? '' : (text[language] ?? '')
}
