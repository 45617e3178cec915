// The editor of one text. Its buttons stand where the screen wants them; what is typed is passed on after a short pause.
import { EditorContent, useEditor } from '@tiptap/react'
import type { Editor } from '@tiptap/react'
import { isSame } from '@valise/core/json'
import { textSchema } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { useEffect, useRef, useState } from 'react'
import { createPortal } from 'react-dom'
import { cleanPasted } from './pasted/cleanPasted.ts'
import { takePictures } from './pasted/takePictures.ts'
import { TextTools } from './TextTools.tsx'
import { textExtensions } from './textExtensions.ts'
import { UnsavedText } from './UnsavedText.tsx'
import { useFlushAfterPause } from './useFlushAfterPause.ts'
import { useUnsavedText } from './useUnsavedText.ts'

interface TextEditorProps {
  readonly text: RichText
  /** Under which a text that cannot be saved waits on this device, such as `/pieces/<id>`. */
  readonly place: string
  /** Goes up when somebody else changed the document: then their text is taken, unless it is what stands here. */
  readonly fromElsewhere: number
  readonly label: string
  readonly placeholder: string
  /** The element in which the buttons are to stand, once it is there; without the word they stand over the text. */
  readonly tools?: HTMLElement | null
  /** Whether writing begins here; not where somebody began in another field before this one was ready. */
  readonly isFocused?: boolean
  /** See `DraftSync.registerFlush`. */
  readonly registerFlush: (flush: () => void) => () => void
  readonly onText: (text: RichText) => void
}

export function TextEditor({
  text,
  place,
  fromElsewhere,
  label,
  placeholder,
  tools,
  isFocused = true,
  registerFlush,
  onText,
}: TextEditorProps) {
  const passedOn = useRef(text)
  const [focusedBefore] = useState(() => document.activeElement)

  const editor = useEditor({
    extensions: textExtensions(placeholder),
    schemaSpec: textSchema().spec,
    // Its rules stand in paper.css: the content security policy allows no style that a script writes.
    injectCSS: false,
    content: text,
    // Rendering React at each key would cost more than typing itself.
    shouldRerenderOnTransaction: false,
    editorProps: {
      transformPastedHTML: cleanPasted,
      handlePaste: ({ dom }, event) => takePictures(dom, event),
      attributes: { 'aria-label': label, 'aria-multiline': 'true', role: 'textbox', spellcheck: 'true' },
    },
  })
  // After the screen itself has taken the focus. The editor's own way would take it another frame later, and out of the
  // middle of what is typed in another field by then.
  useEffect(() => {
    if (!isFocused || !editor) return
    const timer = setTimeout(() => !isWritingElsewhere(focusedBefore) && beginAtEnd(editor))
    return () => clearTimeout(timer)
    // Only where it begins; afterwards the focus is the writer's.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [editor])
  const unsaved = useUnsavedText(editor, place, passedOn)
  useFlushAfterPause(editor, { passedOn, registerFlush, onText, onFault: unsaved.setFault })
  useEffect(() => {
    if (!editor || fromElsewhere === 0 || isSame(passedOn.current, text)) return
    passedOn.current = text
    editor.commands.setContent(text, { emitUpdate: false })
    // Only what others did is taken up here; what was typed is known already.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [fromElsewhere])

  if (!editor) return null
  return (
    <>
      {tools === undefined ? (
        <TextTools editor={editor} />
      ) : tools ? (
        createPortal(<TextTools editor={editor} />, tools)
      ) : null}
      <EditorContent editor={editor} />
      <UnsavedText unsaved={unsaved} />
    </>
  )
}

function isWritingElsewhere(focusedBefore: Element | null): boolean {
  const focused = document.activeElement
  return (
    focused !== focusedBefore &&
    focused !== null &&
    focused.matches('input, textarea, [contenteditable="true"]')
  )
}

function beginAtEnd(editor: Editor): void {
  editor.commands.setTextSelection(editor.state.doc.content.size)
  editor.view.focus()
}
