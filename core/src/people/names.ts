// Names: which one others see, how they are compared, and how they stand in order.
import type { ShownNameRule } from './valueLists.ts'

export interface Names {
  readonly fullName: string
  readonly firstName: string
  readonly chosenName: string | null
}

/**
 * The name that others see. People without a year group (staff) are shown with their full name.
 *
 * Under the rule `chosen`, somebody who chose none is shown with the first name: the less telling one.
 */
export function resolveShownName(names: Names, rule: ShownNameRule | null): string {
  if (rule === 'first') return names.firstName
  if (rule === 'chosen') return names.chosenName ?? names.firstName
  return names.fullName
}

/** One line of text as a person would have typed it: composed (NFC), no double or outer spaces. */
export function toPlainLine(text: string): string {
  return text.normalize('NFC').replace(/\s+/gu, ' ').trim()
}

/** Text folded for comparing and sorting: no case, no diacritics, digits kept. */
export function foldText(text: string): string {
  return toPlainLine(text)
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase()
}

/** The form under which a sign-in name is unique: case and similar-pictures forms fold (NFKC). */
export function toSignInKey(signInName: string): string {
  return signInName.normalize('NFKC').trim().toLowerCase()
}

/** One or two capitals that stand for a name where there is no picture. */
export function initialsOf(name: string): string {
  const words = toPlainLine(name).split(' ')
  const firstOf = (word: string | undefined) => [...(word ?? '')].slice(0, 1).join('').toUpperCase()
  return words.length > 1 ? firstOf(words[0]) + firstOf(words.at(-1)) : firstOf(words[0])
}
