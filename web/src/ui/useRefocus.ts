// Gives the focus a place when the part of the screen that held it has gone.
import { useEffect, useRef } from 'react'
import type { RefObject } from 'react'

/** Whether nothing has the focus: what had it was removed, or can no longer be used. */
export function hasLostFocus(): boolean {
  const { activeElement } = document
  return activeElement === null || activeElement === document.body || activeElement.matches(':disabled')
}

/**
 * @param key changes when something is opened, closed or done
 * @returns for the element that takes the focus then, unless it is somewhere else already
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
