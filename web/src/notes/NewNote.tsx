// A new note: it becomes an item with its first words.
import type { Landing } from '@valise/core/evidence'
import type { Ref } from 'react'
import { NoteEditor } from './NoteEditor.tsx'
import type { NoteHandle } from './NoteEditor.tsx'
import { useNote } from './useNote.ts'

interface NewNoteProps {
  readonly landing: Landing
  readonly ref?: Ref<NoteHandle>
}

export function NewNote({ landing, ref }: NewNoteProps) {
  return <NoteEditor note={useNote(null, landing)} {...(ref && { ref })} />
}
