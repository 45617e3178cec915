// A note that saves itself while it is written.
import { useQueryClient } from '@tanstack/react-query'
import type { Landing } from '@valise/core/evidence'
import { emptyText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { useDocument } from '../saving/index.ts'
import type { OpenDocument } from '../saving/index.ts'
import { NoteStore } from './NoteStore.ts'

interface NoteOnServer {
  readonly id: string
  readonly revision: number
  readonly text: RichText
}

export type OpenNote = OpenDocument<RichText, NoteStore>

/** @param known null for a note that is begun with its first words */
export function useNote(known: NoteOnServer | null, landing: Landing): OpenNote {
  const client = useQueryClient()
  const saved = { document: known?.text ?? emptyText, revision: known?.revision ?? null }
  return useDocument(saved, () => new NoteStore(client, known?.id ?? null, landing))
}
