// Single-letter keys: they can be switched off, and never act while one types (WCAG 2.1.4).
import { useEffect } from 'react'
import { useSession } from '../people/useSession.ts'

/** Calls `act` when the letter is pressed. Gives whether letters act at all, so that the key cap can be shown. */
export function useLetterKey(letter: string, act: () => void): boolean {
  const { letterKeys } = useSession()
  useEffect(() => {
    if (!letterKeys) return
    const onKey = (event: KeyboardEvent) => {
      const isPlain = !event.ctrlKey && !event.metaKey && !event.altKey && !event.defaultPrevented
      if (isPlain && event.key.toLowerCase() === letter && !isTyping(event.target)) act()
    }
    document.addEventListener('keydown', onKey)
    return () => document.removeEventListener('keydown', onKey)
  })
  return letterKeys
}

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false
  return (
    target.isContentEditable ||
    target.closest('input, textarea, select, [role="listbox"], [role="menu"]') !== null
  )
}
