// What the screens know of a kind of offered things, and what they can have done with them; the same for every kind.
import { queryOptions, useMutation } from '@tanstack/react-query'
import type {
  NewOffered,
  OfferedContent,
  OfferedRow,
  OfferedVersion,
  Offers,
  OwnOffered,
} from '@valise/core/offers'
import { ask, get } from '../api/index.ts'
import type { Topic } from '../api/index.ts'

export type OfferedApi<C extends OfferedContent> = ReturnType<typeof offeredApi<C>>

/**
 * @param path the address of all of them on the server
 * @param topic what their queries follow and their changes tell
 */
export function offeredApi<C extends OfferedContent>(path: string, topic: Topic) {
  const meta = { follows: [topic, 'bin'] } as const
  const changes = { showsSaving: true, changes: [topic] } as const
  const fetchOwn = (id: string, signal?: AbortSignal) => get<OwnOffered<C>>(`${path}/${id}`, signal)
  const fetchNewest = (id: string, signal?: AbortSignal) =>
    get<OfferedVersion<C>>(`${path}/${id}/newest`, signal)
  return {
    path,
    topic,
    fetchOwn,
    fetchNewest,
    queries: {
      all: () => [topic] as const,
      list: () =>
        queryOptions({
          queryKey: [topic, 'list'],
          meta,
          queryFn: ({ signal }) => get<OfferedRow[]>(path, signal),
        }),
      own: (id: string) =>
        queryOptions({
          queryKey: [topic, 'own', id],
          meta,
          queryFn: ({ signal }) => fetchOwn(id, signal),
        }),
      newest: (id: string) =>
        queryOptions({
          queryKey: [topic, 'newest', id],
          meta,
          queryFn: ({ signal }) => fetchNewest(id, signal),
        }),
    },
    write: (id: string, content: C, revision: number) =>
      ask<OwnOffered<C>>('PUT', `${path}/${id}`, { body: { content }, revision }),
    useCreate: () =>
      useMutation({
        meta: changes,
        mutationFn: ({ key, ...body }: NewOffered & { readonly key: string }) =>
          ask<OwnOffered<C>>('POST', path, { body, key }),
      }),
    usePublish: (id: string) =>
      useMutation({
        meta: { ...changes, endsWhenFetched: true },
        mutationFn: (revision: number) =>
          ask<OwnOffered<C>>('POST', `${path}/${id}/versions`, { body: {}, revision }),
      }),
    useOffer: (id: string) =>
      useMutation({
        meta: { ...changes, endsWhenFetched: true },
        mutationFn: ({ revision, ...body }: Offers & { readonly revision: number }) =>
          ask<OwnOffered<C>>('PUT', `${path}/${id}/offers`, { body, revision }),
      }),
  }
}
