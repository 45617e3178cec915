// What an earlier window left of a note, because it went while a text was on its way: saved when the note is next seen.
import { isSame } from '@valise/core/json'
import { isRichText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { readUnsent, writeUnsent } from '../saving/index.ts'
import type { HeldText } from '../text/index.ts'
import { refreshEvidence } from '../evidence/base/index.ts'
import { useSession } from '../session/index.ts'
import { noteQueries, writeNote } from './queries.ts'

interface NoteOnServer {
  readonly text: RichText
  readonly revision: number
}

/** Returns where the device stores the unsaved text of a note. */
export const notePlace = (id: string | undefined) => `/notes/${id ?? 'new'}`

/**
 * @param note the note on the server; undefined until that is known
 */
export function useLeftNote(id: string, note: NoteOnServer | undefined): void {
  const client = useQueryClient()
  const { personId } = useSession()
  const isKnown = note !== undefined
  useEffect(() => {
    if (!note) return
    const save = async () => {
      const left = (await readUnsent(personId, notePlace(id))) as HeldText | undefined
      if (left === undefined || !isRichText(left.written)) return
      // What somebody changed meanwhile is not written over: the editor shows both once it is opened.
      const isFollowed = [left.saved, left.sending].some((known) => known && isSame(known, note.text))
      if (!isFollowed) return
      const { revision } = await writeNote(id, left.written, note.revision)
      client.setQueryData(noteQueries.one(id).queryKey, { text: left.written, revision })
      writeUnsent(personId, notePlace(id), undefined)
      await refreshEvidence(client)
    }
    // It stays on the device, and is tried again when the note is next seen.
    save().catch(() => undefined)
    // Once, when the note is known.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id, isKnown])
}
