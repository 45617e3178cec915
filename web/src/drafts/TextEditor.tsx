// Writing: the editor of one text. Its buttons stand where the screen wants them; what is typed goes out after a breath.
import { EditorContent, useEditor } from '@tiptap/react'
import type { Editor } from '@tiptap/react'
import { isRichText, isSame } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { useEffect, useRef, useState } from 'react'
import type { RefObject } from 'react'
import { createPortal } from 'react-dom'
import { TextTools } from './TextTools.tsx'
import { textExtensions } from './textExtensions.ts'

/** Long enough that a fast writer takes none between two keys. */
const BREATH_MS = 500
/** Whoever writes on and on is told of all the same, so that little is ever in the air. */
const LONGEST_BREATH_MS = 2000

interface TextEditorProps {
  readonly text: RichText
  /** Goes up when somebody else changed the document: then their text is taken, unless it is what stands here. */
  readonly fromElsewhere: number
  readonly label: string
  readonly placeholder: string
  /** The element in which the buttons are to stand, once it is there; without the word they stand over the text. */
  readonly tools?: HTMLElement | null
  /** Whether writing begins here; not where somebody began in another field before this one was ready. */
  readonly isFocused?: boolean
  /** Lets the draft ask for what was typed last, before it joins what others did. */
  readonly beforeJoin: (tell: () => void) => () => void
  readonly onText: (text: RichText) => void
}

export function TextEditor({
  text,
  fromElsewhere,
  label,
  placeholder,
  tools,
  isFocused = true,
  beforeJoin,
  onText,
}: TextEditorProps) {
  const told = useRef(text)
  const keep = useRef(onText)
  useEffect(() => {
    keep.current = onText
  })
  const [focusedBefore] = useState(() => document.activeElement)

  const editor = useEditor({
    extensions: textExtensions(placeholder),
    // Its rules stand in paper.css: the content security policy allows no style that a script writes.
    injectCSS: false,
    content: text,
    // Rendering React at each key would cost more than typing itself.
    shouldRerenderOnTransaction: false,
    editorProps: {
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
  useTellAfterBreath(editor, { told, keep, beforeJoin })
  useEffect(() => {
    if (!editor || fromElsewhere === 0 || isSame(told.current, text)) return
    told.current = text
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

interface Telling {
  /** What was told last. */
  readonly told: RefObject<RichText>
  readonly keep: RefObject<(text: RichText) => void>
  readonly beforeJoin: TextEditorProps['beforeJoin']
}

/** Tells what was written: after a breath, and at once when the editor or the window goes. */
function useTellAfterBreath(editor: Editor | null, { told, keep, beforeJoin }: Telling): void {
  useEffect(() => {
    if (!editor) return
    let timer: ReturnType<typeof setTimeout> | undefined
    let since: number | null = null
    const tell = () => {
      clearTimeout(timer)
      timer = undefined
      since = null
      const written: unknown = editor.getJSON()
      // The editor knows the grammar of the core and nothing beside it; anything else would be lost in silence.
      if (!isRichText(written)) throw new Error('the editor wrote what the core does not know')
      if (isSame(written, told.current)) return
      told.current = written
      keep.current(written)
    }
    const onUpdate = () => {
      clearTimeout(timer)
      // Not the clock of the day, which may be set while somebody writes.
      since ??= performance.now()
      const left = since + LONGEST_BREATH_MS - performance.now()
      timer = setTimeout(tell, Math.max(0, Math.min(BREATH_MS, left)))
    }
    const onGo = () => timer !== undefined && tell()
    editor.on('update', onUpdate)
    editor.on('blur', onGo)
    window.addEventListener('pagehide', onGo, { capture: true })
    const stopAsking = beforeJoin(onGo)
    return () => {
      onGo()
      stopAsking()
      editor.off('update', onUpdate)
      editor.off('blur', onGo)
      window.removeEventListener('pagehide', onGo, { capture: true })
    }
  }, [editor, told, keep, beforeJoin])
}
