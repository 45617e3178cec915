// Where something that is offered is saved while it is written.
import type { QueryClient } from '@tanstack/react-query'
import type { OfferedContent, OwnOffered } from '@valise/core/offers'
import { tellChanged } from '../api/index.ts'
import type { DocumentStore, SavedOnServer } from '../saving/index.ts'
import type { OfferedApi } from './offeredApi.ts'

interface OfferedStoreOf<C extends OfferedContent> {
  readonly api: OfferedApi<C>
  readonly id: string
  /** Merges what two windows made of one base. */
  readonly merge: (base: C, mine: C, theirs: C) => C
}

export class OfferedStore<C extends OfferedContent> implements DocumentStore<C> {
  readonly address: string
  readonly merge: (base: C, mine: C, theirs: C) => C
  readonly #client: QueryClient
  readonly #api: OfferedApi<C>
  readonly #id: string

  constructor(client: QueryClient, { api, id, merge }: OfferedStoreOf<C>) {
    this.#client = client
    this.#api = api
    this.#id = id
    this.merge = merge
    this.address = `${api.path}/${id}`
  }

  put = async (content: C, revision: number | null): Promise<SavedOnServer<C>> =>
    // It is there before it is written.
    this.#toSaved(await this.#api.write(this.#id, content, revision ?? 1))

  read = async (): Promise<SavedOnServer<C>> => this.#toSaved(await this.#api.fetchOwn(this.#id))

  onSettled = (): void => void tellChanged(this.#client, [this.#api.topic])

  #toSaved(own: OwnOffered<C>): SavedOnServer<C> {
    this.#client.setQueryData(this.#api.queries.own(this.#id).queryKey, own)
    return { document: own.content, revision: own.revision }
  }
}
