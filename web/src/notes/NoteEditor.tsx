// Writing a note: the editor of all texts, whose pasted words come in clean.
import { useImperativeHandle, useRef } from 'react'
import type { Ref } from 'react'
import { useTranslation } from 'react-i18next'
import { TextEditor } from '../text/index.ts'
import { Loading } from '../ui/Fetched.tsx'
import { Refusal } from '../ui/Refusal.tsx'
import type { OpenNote } from './useNote.ts'
import styles from './NoteEditor.module.css'
import '@valise/core/pages/paper.css'

export interface NoteHandle {
  /** Saves what was typed last; gives the item, or null where there is none yet. */
  settle(): Promise<string | null>
}

interface NoteEditorProps {
  readonly note: OpenNote
  readonly ref?: Ref<NoteHandle>
}

export function NoteEditor({ note, ref }: NoteEditorProps) {
  const { t } = useTranslation('evidence')
  const flush = useRef<(() => void) | null>(null)
  const { sync } = note
  useImperativeHandle(ref, () => ({
    settle: async () => {
      flush.current?.()
      sync.deliverNow()
      await sync.settled()
      return sync.store.id
    },
  }))
  // What an earlier window left comes in before anything is typed.
  if (!note.isRestored) return <Loading />
  return (
    <div className={`paper ${styles.note}`}>
      <TextEditor
        text={note.document}
        fromElsewhere={note.fromElsewhere}
        label={t('note.label')}
        placeholder={t('note.hint')}
        place={`/notes/${sync.store.address.split('/').at(-1)}`}
        registerFlush={(passOn) => {
          flush.current = passOn
          return () => (flush.current = null)
        }}
        onText={note.write}
      />
      <Refusal error={note.refused} />
    </div>
  )
}
