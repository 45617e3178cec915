// What the screens know of notes: the text of one, beginning one, and writing on.
import { queryOptions } from '@tanstack/react-query'
import type { Evidence, Landing } from '@valise/core/evidence'
import type { RichText } from '@valise/core/pages'
import { ask, get } from '../api/index.ts'

export interface Note {
  readonly text: RichText
  readonly revision: number
}

export const noteQueries = {
  one: (id: string) =>
    queryOptions({
      queryKey: ['notes', id],
      meta: { follows: ['evidence'] },
      queryFn: ({ signal }) => fetchNote(id, signal),
      staleTime: 0,
    }),
}

export function fetchNote(id: string, signal?: AbortSignal): Promise<Note> {
  return get<Note>(`/api/notes/${id}`, signal)
}

export function createNote(text: RichText, landing: Landing): Promise<Evidence> {
  return ask<Evidence>('POST', '/api/notes', { body: { text, landing } })
}

export function writeNote(id: string, text: RichText, revision: number): Promise<Note> {
  return ask('PUT', `/api/notes/${id}`, { body: { text }, revision })
}
