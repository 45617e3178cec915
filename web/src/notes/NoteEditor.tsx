// Writing a note: the editor of all texts, whose pasted words come in clean.
import type { Landing } from '@valise/core/evidence'
import { emptyText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { useImperativeHandle, useRef } from 'react'
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { TextEditor } from '../text/index.ts'
import { Refusal } from '../ui/Refusal.tsx'
import { notePlace } from './useLeftNote.ts'
import { useNote } from './useNote.ts'
import styles from './NoteEditor.module.css'
import '@valise/core/pages/paper.css'

export interface NoteHandle {
  /** Keeps what was typed last; gives the item, or null where nothing was written. */
  settle(): Promise<string | null>
}

interface NoteEditorProps {
  readonly known: { readonly id: string; readonly revision: number; readonly text: RichText } | null
  readonly landing: Landing
  readonly isFocused: boolean
  readonly ref?: Ref<NoteHandle>
}

export function NoteEditor({ known, landing, isFocused, ref }: NoteEditorProps) {
  const { t } = useTranslation('evidence')
  const place = notePlace(known?.id)
  const writing = useNote(known, landing, place)
  const tell = useRef<(() => void) | null>(null)
  useImperativeHandle(ref, () => ({
    settle: () => {
      tell.current?.()
      return writing.settle()
    },
  }))
  return (
    <div className={`paper ${styles.note}`}>
      <TextEditor
        text={known?.text ?? emptyText}
        fromElsewhere={0}
        label={t('note.label')}
        placeholder={t('note.hint')}
        isFocused={isFocused}
        place={place}
        registerFlush={(now) => {
          tell.current = now
          return () => (tell.current = null)
        }}
        onText={writing.write}
      />
      <Refusal error={writing.error} />
    </div>
  )
}
