// Writing evidence: a note that is saved while it is written.
import Button from '@mui/material/Button'
import { useRef, useState } from 'react'
import { useTranslation } from 'react-i18next'
import { useNavigate } from 'react-router'
import { noteArrival } from '../evidence/upload/index.ts'
import { NewNote } from '../notes/index.ts'
import type { NoteHandle } from '../notes/index.ts'
import type { SourceProps } from './GatherDialogs.tsx'
import { endGathering } from './gathering.ts'
import { toLanding } from './toLanding.ts'
import { SourceDialog } from './SourceDialog.tsx'

export function NoteDialog({ place }: SourceProps) {
  const { t } = useTranslation('gather')
  const editor = useRef<NoteHandle>(null)
  const navigate = useNavigate()
  const [isSettling, setIsSettling] = useState(false)
  const finish = async () => {
    setIsSettling(true)
    const id = (await editor.current?.settle()) ?? null
    setIsSettling(false)
    endGathering()
    if (id === null) return
    if (place.onSaved) return place.onSaved(id)
    noteArrival(id)
    if (window.location.pathname !== '/') void navigate(`/evidence/${id}`)
  }
  return (
    <SourceDialog
      title={t('note.title')}
      maxWidth="md"
      cancel={t('note.close')}
      // Everything is saved by itself, so closing needs no question.
      onClose={() => {
        void finish()
        return false
      }}
      acts={
        <Button variant="contained" color="primary" loading={isSettling} onClick={() => void finish()}>
          {t('note.done')}
        </Button>
      }
    >
      <NewNote ref={editor} landing={toLanding(place)} />
    </SourceDialog>
  )
}
