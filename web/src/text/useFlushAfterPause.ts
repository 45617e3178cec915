// Passing on what is typed: after a short pause, and at once when the editor or the window goes.
import type { Editor } from '@tiptap/react'
import { isSame } from '@valise/core/json'
import { faultOfText } from '@valise/core/pages'
import type { RichText, TextFault } from '@valise/core/pages'
import { useEffect, useRef } from 'react'
import type { RefObject } from 'react'

/** Long enough that a fast writer takes none between two keys, short enough that a tab that is killed loses no word. */
const PAUSE_MS = 200
/** Whoever writes on and on is saved all the same; more often would cost more than typing itself. */
const LONGEST_MS = 2000

interface Flushing {
  /** The text that was passed on last. */
  readonly passedOn: RefObject<RichText>
  readonly registerFlush: (flush: () => void) => () => void
  readonly onText: (text: RichText) => void
  /** Called with what cannot be saved, and with null once the text can be. */
  readonly onFault: (fault: TextFault | null, written: unknown) => void
}

export function useFlushAfterPause(editor: Editor | null, flushing: Flushing): void {
  const { passedOn, registerFlush } = flushing
  const present = useRef(flushing)
  useEffect(() => {
    present.current = flushing
  })
  useEffect(() => {
    if (!editor) return
    let timer: ReturnType<typeof setTimeout> | undefined
    let since: number | null = null
    const passOn = () => {
      clearTimeout(timer)
      timer = undefined
      since = null
      const written: unknown = editor.getJSON()
      const fault = faultOfText(written)
      present.current.onFault(fault, written)
      if (fault !== null || isSame(written as RichText, passedOn.current)) return
      passedOn.current = written as RichText
      present.current.onText(written as RichText)
    }
    const onUpdate = () => {
      clearTimeout(timer)
      // Not the clock of the day, which may be set while somebody writes.
      since ??= performance.now()
      const left = since + LONGEST_MS - performance.now()
      timer = setTimeout(passOn, Math.max(0, Math.min(PAUSE_MS, left)))
    }
    const flush = () => timer !== undefined && passOn()
    editor.on('update', onUpdate)
    editor.on('blur', flush)
    window.addEventListener('pagehide', flush)
    const unregister = registerFlush(flush)
    return () => {
      flush()
      unregister()
      editor.off('update', onUpdate)
      editor.off('blur', flush)
      window.removeEventListener('pagehide', flush)
    }
  }, [editor, passedOn, registerFlush])
}
