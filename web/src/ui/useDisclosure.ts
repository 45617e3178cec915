// Something that opens and closes beside its button: Escape and a press outside close it, focus goes back.
import { useCallback, useEffect, useRef, useState } from 'react'
import type { RefObject } from 'react'

export interface Disclosure<T extends HTMLElement> {
  /** For the element that holds both the button and what it opens. */
  readonly ref: RefObject<T | null>
  readonly isOpen: boolean
  toggle(): void
  close(): void
}

export function useDisclosure<T extends HTMLElement>(): Disclosure<T> {
  const ref = useRef<T>(null)
  const [isOpen, setIsOpen] = useState(false)
  const close = useCallback(() => setIsOpen(false), [])
  useEffect(() => {
    if (!isOpen) return
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return
      close()
      ref.current?.querySelector('button')?.focus()
    }
    const onOutside = (event: Event) => {
      if (event.target instanceof Node && !ref.current?.contains(event.target)) close()
    }
    document.addEventListener('keydown', onKey)
    document.addEventListener('pointerdown', onOutside)
    document.addEventListener('focusin', onOutside)
    return () => {
      document.removeEventListener('keydown', onKey)
      document.removeEventListener('pointerdown', onOutside)
      document.removeEventListener('focusin', onOutside)
    }
  }, [isOpen, close])
  return { ref, isOpen, close, toggle: () => setIsOpen((open) => !open) }
}
