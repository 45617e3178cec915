// Where a note is saved: begun with its first words, written on afterwards.
import type { QueryClient } from '@tanstack/react-query'
import type { Landing } from '@valise/core/evidence'
import { mergeTexts } from '@valise/core/pages'
import type { RichText } from '@valise/core/pages'
import { tellChanged } from '../api/index.ts'
import type { DocumentStore, SavedOnServer } from '../saving/index.ts'
import { createNote, fetchNote, noteQueries, writeNote } from './queries.ts'
import type { Note } from './queries.ts'

export class NoteStore implements DocumentStore<RichText> {
  readonly address: string
  readonly merge = mergeTexts
  readonly #client: QueryClient
  readonly #landing: Landing
  #id: string | null

  /** @param id null for a note that is begun with its first words */
  constructor(client: QueryClient, id: string | null, landing: Landing) {
    this.#client = client
    this.#id = id
    this.#landing = landing
    this.address = `/api/notes/${id ?? 'new'}`
  }

  /** The item, once it is there. */
  get id(): string | null {
    return this.#id
  }

  put = async (text: RichText, revision: number | null): Promise<SavedOnServer<RichText>> => {
    if (this.#id === null || revision === null) {
      const item = await createNote(text, this.#landing)
      this.#id = item.id
      return { document: text, revision: item.revision }
    }
    return this.#toSaved(this.#id, await writeNote(this.#id, text, revision))
  }

  read = async (): Promise<SavedOnServer<RichText>> => {
    // Only what was saved can have been changed by another window.
    if (this.#id === null) throw new Error('a note that was not begun cannot be read')
    return this.#toSaved(this.#id, await fetchNote(this.#id))
  }

  onSettled = (): void => void tellChanged(this.#client, ['evidence'])

  #toSaved(id: string, note: Note): SavedOnServer<RichText> {
    this.#client.setQueryData(noteQueries.one(id).queryKey, note)
    return { document: note.text, revision: note.revision }
  }
}
