// Single-letter and digit keys: they can be switched off, and never act while one types (WCAG 2.1.4).
import { useEffect, useRef } from 'react'
import { useUiSettings } from './settings.tsx'

/** What each key does, by lower-case letter or digit. */
export type LetterKeys = Readonly<Record<string, (() => void) | undefined>>

/**
 * Runs the action of a pressed key. A held key acts once.
 *
 * @returns whether letter keys are on, so that they can be shown
 */
export function useLetterKeys(keys: LetterKeys): boolean {
  const { letterKeys } = useUiSettings()
  const latest = useRef(keys)
  useEffect(() => {
    latest.current = keys
  })
  useEffect(() => {
    if (!letterKeys) return
    const onKey = (event: KeyboardEvent) => {
      const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && !event.defaultPrevented
      if (!isPlain || event.repeat || isTyping(event.target)) return
      const act = latest.current[keyOf(event)]
      if (!act) return
      // What the key begins may be a field, which must not get the letter.
      event.preventDefault()
      act()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  }, [letterKeys])
  return letterKeys
}

/** Digits by their place on the keyboard too: some layouts have them only with Shift. */
function keyOf({ key, code }: KeyboardEvent): string {
  if (/^\d$/.test(key)) return key
  return /^Digit(\d)$/.exec(code)?.[1] ?? key.toLowerCase()
}

const typed = [
  'input:not([type="radio"], [type="checkbox"], [type="button"])',
  ...['textarea', 'select', '[role="listbox"]', '[role="menu"]', '[role="combobox"]'],
  // What lies behind a dialog does not act.
  ...['dialog', '[role="dialog"]'],
].join(', ')

function isTyping(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && (target.isContentEditable || target.closest(typed) !== null)
}
