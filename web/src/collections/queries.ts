// What the screens know of collections, and what they can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type {
  Collection,
  CollectionItem,
  CollectionList,
  CollectionOperation,
} from '@valise/core/collections'
import { ApiProblem, ask, get, tellChanged, withQuery } from '../api/index.ts'

export const collectionQueries = {
  all: () => ['collections'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: [...collectionQueries.all(), 'list'],
      meta: { follows: ['collections', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        get<CollectionList>(withQuery('/api/collections', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...collectionQueries.all(), 'one', id],
      meta: { follows: ['collections', 'bin'] },
      queryFn: ({ signal }) => get<Collection>(collectionPath(id), signal),
    }),
}

function collectionPath(id: string): string {
  return `/api/collections/${id}`
}

export function useCreateCollection() {
  return useMutation({
    meta: { showsSaving: true, changes: ['collections'], endsWhenFetched: true },
    mutationFn: ({ title, key }: { readonly title: string; readonly key: string }) =>
      ask<Collection>('POST', '/api/collections', { body: { title }, key }),
  })
}

/** A change; a function is resolved when it is sent, for changes that depend on the items at that time. */
export type CollectionChange =
  readonly CollectionOperation[] | ((items: readonly CollectionItem[]) => readonly CollectionOperation[])

/** Changes a collection at its latest revision; changes are sent one after the other. */
export function useChangeCollection(id: string) {
  const client = useQueryClient()
  const { queryKey } = collectionQueries.one(id)
  return useMutation({
    meta: { showsSaving: true, changes: ['collections'] },
    scope: { id: `collection ${id}` },
    mutationFn: (change: CollectionChange) => {
      const { revision, items } = client.getQueryData<Collection>(queryKey) ?? { revision: 0, items: [] }
      const operations = typeof change === 'function' ? change(items) : change
      return ask<Collection>('PATCH', collectionPath(id), { body: { operations }, revision })
    },
    onSuccess: (collection) => client.setQueryData(queryKey, collection),
    onError: (error) => {
      // Somebody, perhaps oneself in another window, was faster: their arrangement is shown beside the refusal.
      if (error instanceof ApiProblem) void client.invalidateQueries({ queryKey })
    },
  })
}

/** Removes a new collection that was not changed. */
export function useDiscardCollection(id: string): () => void {
  const client = useQueryClient()
  return () => {
    client.removeQueries({ queryKey: collectionQueries.one(id).queryKey })
    // Where the server refuses, or cannot be had, the collection is still there, which loses nothing.
    ask('DELETE', `/api/things/${id}`).then(
      () => tellChanged(client, ['collections']),
      () => undefined,
    )
  }
}
