// A note in its drawer: read, and written on in its place.
import Button from '@mui/material/Button'
import { useQuery } from '@tanstack/react-query'
import type { Evidence } from '@valise/core/evidence'
import { renderText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { IconPencil } from '@tabler/icons-react'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Fetched } from '../ui/Fetched.tsx'
import { NoteEditor } from './NoteEditor.tsx'
import type { NoteHandle } from './NoteEditor.tsx'
import { noteQueries } from './queries.ts'
import { useNote } from './useNote.ts'
import styles from './NotePreview.module.css'

export function NotePreview({ item }: { readonly item: Evidence }) {
  const query = useQuery(noteQueries.one(item.id))
  return (
    <div className={styles.note}>
      <Fetched query={query}>
        {({ text, revision }) => (
          <OwnNote
            id={item.id}
            text={text}
            // Its own, and not the item's: a text that another window changed meanwhile must be noticed.
            revision={revision}
            isFixed={item.binnedAt !== null}
          />
        )}
      </Fetched>
    </div>
  )
}

interface OwnNoteProps {
  readonly id: string
  readonly text: RichText
  readonly revision: number
  readonly isFixed: boolean
}

function OwnNote({ id, text, revision, isFixed }: OwnNoteProps) {
  const { t } = useTranslation('evidence')
  const note = useNote({ id, text, revision }, {})
  const [isWriting, setIsWriting] = useState(false)
  const editor = useRef<NoteHandle>(null)
  const finish = async () => {
    await editor.current?.settle()
    setIsWriting(false)
  }
  return (
    <>
      {isWriting ? (
        <NoteEditor ref={editor} note={note} />
      ) : (
        <div
          className={`paper ${styles.read}`}
          tabIndex={0}
          role="group"
          aria-label={t('note.label')}
          // Rendered by the core from known nodes alone, each word escaped.
          dangerouslySetInnerHTML={{ __html: renderText(note.document, 1) }}
        />
      )}
      {isFixed ? null : (
        <Button
          size="small"
          startIcon={<IconPencil size={17} stroke={1.7} />}
          onClick={() => (isWriting ? void finish() : setIsWriting(true))}
        >
          {t(isWriting ? 'note.done' : 'note.write')}
        </Button>
      )}
    </>
  )
}
