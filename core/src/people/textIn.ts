// Which of several languages a reader gets.
import type { Localized } from './localized.ts'
import { languages } from './valueLists.ts'

/** Returns the text in the wanted language, else in the first one there is; '' for none. */
export function textIn(text: Localized, wanted: string): string {
  const found = languages.find((language) => language === wanted && text[language] !== undefined)
  const first = languages.find((language) => text[language] !== undefined)
  const language = found ?? first
  return language === undefined ? '' : (text[language] ?? '')
}

/** Returns whether a text says nothing in any language. */
export function isEmptyText(text: Localized): boolean {
  return Object.values(text).every((words) => (words ?? '').trim() === '')
}
