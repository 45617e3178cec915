// Gives the focus a place when the part of the screen that held it has gone.
import { useEffect, useRef } from 'react'
import type { RefObject } from 'react'

/** Returns whether nothing has the focus, because its element was removed or disabled. */
export function hasLostFocus(): boolean {
  const { activeElement } = document
  return activeElement === null || activeElement === document.body || activeElement.matches(':disabled')
}

/**
 * Restores a lost focus.
 *
 * @param key changes when something is opened, closed or done
 * @returns the ref of the element that gets the focus then, unless something else has it
 */
export function useRefocus<E extends HTMLElement>(key: unknown): RefObject<E | null> {
  const element = useRef<E>(null)
  const before = useRef(key)
  useEffect(() => {
    if (before.current === key) return
    before.current = key
    // After whatever else gives back the focus, such as a dialog that closes.
    const timer = setTimeout(() => {
      if (hasLostFocus()) element.current?.focus()
    })
    return () => clearTimeout(timer)
  }, [key])
  return element
}
