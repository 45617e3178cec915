// A text field that keeps itself: after a pause in typing, when it is left, and when its screen or its window goes.
import { toPlainLine } from '@valise/core/people'
import { useCallback, useEffect, useRef, useState } from 'react'

const PAUSE_MS = 900

export interface SavedText {
  readonly text: string
  change(text: string): void
  /** For when the field is left: keeps at once what was typed, if anything was. */
  leave(): void
}

/** Holds the typed text until `save` has saved it; a value from elsewhere shows only in between. */
export function useSavedText(value: string, save: (text: string) => void): SavedText {
  const [typed, setTyped] = useState<string | null>(null)
  const [isLeft, setIsLeft] = useState(true)
  const waiting = useRef<{ text: string; timer: ReturnType<typeof setTimeout> } | null>(null)
  const saveRef = useRef(save)
  useEffect(() => {
    saveRef.current = save
  })

  const saveNow = useCallback(() => {
    if (!waiting.current) return
    clearTimeout(waiting.current.timer)
    const { text } = waiting.current
    waiting.current = null
    saveRef.current(text)
  }, [])
  useEffect(() => {
    window.addEventListener('pagehide', saveNow)
    return () => {
      window.removeEventListener('pagehide', saveNow)
      saveNow()
    }
  }, [saveNow])

  const change = (text: string) => {
    setTyped(text)
    setIsLeft(false)
    if (waiting.current) clearTimeout(waiting.current.timer)
    waiting.current = { text, timer: setTimeout(saveNow, PAUSE_MS) }
  }
  const leave = () => {
    setIsLeft(true)
    saveNow()
  }
  // Once what was typed has come back as the value, the value leads again; never while somebody types on.
  if (typed !== null && isLeft && (typed === value || toPlainLine(typed) === value)) setTyped(null)
  return { text: typed ?? value, change, leave }
}
