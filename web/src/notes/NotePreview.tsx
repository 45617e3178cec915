// A note in its drawer: read, and written on in its place.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { renderText } from '@valise/core/pages'
import { IconPencil } from '@tabler/icons-react'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { NoteEditor } from './NoteEditor.tsx'
import type { NoteHandle } from './NoteEditor.tsx'
import { noteQueries } from './queries.ts'
import { useLeftNote } from './useLeftNote.ts'
import styles from './NotePreview.module.css'

export function NotePreview({ item }: { readonly item: Evidence }) {
  const { t } = useTranslation('evidence')
  const query = useQuery(noteQueries.one(item.id))
  useLeftNote(item.id, query.data)
  const [isWriting, setIsWriting] = useState(false)
  const editor = useRef<NoteHandle>(null)
  const finish = async () => {
    await editor.current?.settle()
    setIsWriting(false)
  }
  return (
    <div className={styles.note}>
      <Fetched query={query}>
        {(note) =>
          isWriting ? (
            <NoteEditor
              ref={editor}
              known={{ id: item.id, revision: item.revision, text: note.text }}
              landing={{}}
              isFocused
            />
          ) : (
            <div
              className={`paper ${styles.read}`}
              tabIndex={0}
              role="group"
              aria-label={t('note.label')}
              // Rendered by the core from known nodes alone, each word escaped.
              dangerouslySetInnerHTML={{ __html: renderText(note.text, 1) }}
            />
          )
        }
      </Fetched>
      {item.binnedAt === null ? (
        <Button
          size="small"
          startIcon={<IconPencil size={17} stroke={1.7} />}
          onClick={() => (isWriting ? void finish() : setIsWriting(true))}
        >
          {t(isWriting ? 'note.done' : 'note.write')}
        </Button>
      ) : null}
    </div>
  )
}
