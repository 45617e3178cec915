// A text that cannot be saved as it is: it stays on this device, and comes back when the editor is opened again.
import type { Editor } from '@tiptap/react'
import { isSame } from '@valise/core/json'
import type { RichText, TextFault } from '@valise/core/pages'
import { useCallback, useEffect, useRef, useState } from 'react'
import type { RefObject } from 'react'
import { clearUnsaved, noteUnsaved, useUnsent } from '../saving/index.ts'

/** A text on the device. */
interface HeldText {
  /** What the editor holds, whether the grammar knows it or not. */
  readonly written: unknown
  /** The text that was saved at that time. */
  readonly saved: RichText
}

export interface UnsavedTextState {
  readonly fault: TextFault | null
  readonly setFault: (fault: TextFault | null, written: unknown) => void
}

export function useUnsavedText(
  editor: Editor | null,
  place: string,
  passedOn: RefObject<RichText>,
): UnsavedTextState {
  const { value: held, change } = useUnsent<HeldText | null>(place, null)
  const [fault, setFault] = useState<TextFault | null>(null)
  const isRestored = useRef(false)
  const isHeld = useRef(false)

  const onFault = useCallback(
    (next: TextFault | null, written: unknown) => {
      isRestored.current = true
      setFault(next)
      if (next !== null) {
        isHeld.current = true
        noteUnsaved(place)
        change({ written, saved: passedOn.current })
      } else if (isHeld.current) {
        isHeld.current = false
        clearUnsaved(place)
        change(null)
      }
    },
    [place, change, passedOn],
  )
  useEffect(() => {
    if (!editor || held === null || isRestored.current) return
    isRestored.current = true
    isHeld.current = true
    const { content } = held.written as RichText
    // Where the saved text was changed meanwhile, both stand there one after the other.
    const present = isSame(held.saved, passedOn.current) ? [] : passedOn.current.content
    editor.commands.setContent({ type: 'doc', content: [...present, ...content] })
  }, [editor, held, passedOn])
  return { fault, setFault: onFault }
}
