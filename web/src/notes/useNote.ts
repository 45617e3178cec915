// A note that keeps itself while it is written: begun with its first words, written on with each breath.
import { isSame } from '@valise/core/json'
import { emptyText } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import type { Landing } from '@valise/core/evidence'
import { useQueryClient } from '@tanstack/react-query'
import { useRef, useState } from 'react'
import { noteSaving, noteSaved, noteRefused, writeUnsent } from '../saving/index.ts'
import { loseWhereSignedOut, useSession } from '../session/index.ts'
import type { HeldText } from '../text/index.ts'
import { refreshEvidence } from '../evidence/base/index.ts'
import { createNote, noteQueries, writeNote } from './queries.ts'

export interface Writing {
  /** The item, once it is there. */
  readonly id: string | null
  readonly error: unknown
  /** Saves a text; saves run one after the other, and of several waiting texts the last is saved. */
  write(text: RichText): void
  /** Resolves once everything written is saved, with the item, or null where nothing was written. */
  settle(): Promise<string | null>
}

interface Known {
  readonly id: string
  readonly revision: number
  readonly text: RichText
}

/**
 * @param place where unsaved text waits on the device; the editor restores it
 */
export function useNote(known: Known | null, landing: Landing, place: string): Writing {
  const client = useQueryClient()
  const { personId } = useSession()
  const present = useRef<Known | null>(known)
  const next = useRef<RichText | null>(null)
  const sending = useRef<RichText | null>(null)
  const working = useRef<Promise<void> | null>(null)
  const [id, setId] = useState(known?.id ?? null)
  const [error, setError] = useState<unknown>(null)

  const saveNext = async (): Promise<void> => {
    const text = next.current
    if (text === null) return
    next.current = null
    const { current } = present
    if (current ? isSame(current.text, text) : isSame(text, emptyText)) return saveNext()
    noteSaving()
    sending.current = text
    try {
      if (current === null) {
        const item = await createNote(text, landing)
        present.current = { id: item.id, revision: item.revision, text }
        setId(item.id)
      } else {
        const { revision } = await writeNote(current.id, text, current.revision)
        present.current = { ...current, revision, text }
        client.setQueryData(noteQueries.one(current.id).queryKey, { text, revision })
      }
      setError(null)
      if (next.current === null) writeUnsent(personId, place, undefined)
      noteSaved()
    } catch (problem) {
      // What was written stays in the editor, and goes with the next try.
      next.current ??= text
      setError(problem)
      noteRefused()
      loseWhereSignedOut(problem)
      return
    }
    return saveNext()
  }
  const work = () => {
    working.current ??= saveNext().finally(() => {
      working.current = null
      void refreshEvidence(client)
    })
    return working.current
  }
  return {
    id,
    error,
    write: (text) => {
      next.current = text
      const held: HeldText = {
        written: text,
        saved: present.current?.text ?? emptyText,
        ...(sending.current && { sending: sending.current }),
      }
      writeUnsent(personId, place, isSame(text, emptyText) ? undefined : held)
      void work()
    },
    settle: async () => {
      await work()
      return present.current?.id ?? null
    },
  }
}
