// Names: which one others see, how they are compared, and how they stand in order.
import type { ShownNameRule } from './valueLists.ts'

export interface Names {
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
}

/**
 * Returns the name that others see. People without a year group (staff) are shown with their full name.
 *
 * Under the rule `chosen`, a person without a chosen name is shown with the first name, which reveals less.
 */
export function resolveShownName(names: Names, rule: ShownNameRule | null): string {
  if (rule === 'first') return names.firstName
  if (rule === 'chosen') return names.chosenName ?? names.firstName
  return names.fullName
}

/** Returns the text as one line: composed (NFC), without double, leading or trailing spaces. */
export function toPlainLine(text: string): string {
  return text.normalize('NFC').replace(/\s+/gu, ' ').trim()
}

/** Folds a text for comparison and sorting: no case, no diacritics; digits stay. */
export function foldText(text: string): string {
  return toPlainLine(text)
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase()
}

/** Returns the key under which a sign-in name is unique: case and compatibility forms are folded (NFKC). */
export function toSignInKey(signInName: string): string {
  return signInName.normalize('NFKC').trim().toLowerCase()
}

/** Returns one or two initials of a name, for an avatar without a picture. */
export function initialsOf(name: string): string {
  const words = toPlainLine(name).split(' ')
  const firstOf = (word: string | undefined) => [...(word ?? '')].slice(0, 1).join('').toUpperCase()
  return words.length > 1 ? firstOf(words[0]) + firstOf(words.at(-1)) : firstOf(words[0])
}
