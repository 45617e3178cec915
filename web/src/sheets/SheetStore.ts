// Where a question sheet is saved while it is written.
import type { QueryClient } from '@tanstack/react-query'
import { mergeSheets } from '@valise/core/sheets'
import type { OwnSheet, SheetContent } from '@valise/core/sheets'
import { tellChanged } from '../api/index.ts'
import type { DocumentStore, SavedOnServer } from '../saving/index.ts'
import { fetchSheet, sheetQueries, writeSheet } from './queries.ts'

export class SheetStore implements DocumentStore<SheetContent> {
  readonly address: string
  readonly merge = mergeSheets
  readonly #client: QueryClient
  readonly #id: string

  constructor(client: QueryClient, id: string) {
    this.#client = client
    this.#id = id
    this.address = `/api/sheets/${id}`
  }

  put = async (content: SheetContent, revision: number | null): Promise<SavedOnServer<SheetContent>> =>
    // A sheet is there before it is written.
    this.#toSaved(await writeSheet(this.#id, content, revision ?? 1))

  read = async (): Promise<SavedOnServer<SheetContent>> => this.#toSaved(await fetchSheet(this.#id))

  onSettled = (): void => void tellChanged(this.#client, ['sheets'])

  #toSaved(sheet: OwnSheet): SavedOnServer<SheetContent> {
    this.#client.setQueryData(sheetQueries.own(this.#id).queryKey, sheet)
    return { document: sheet.content, revision: sheet.revision }
  }
}
