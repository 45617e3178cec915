// What the screens know of pages, and what they can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { NewPage, Page, PageList } from '@valise/core/pages'
import { ask, get, tellChanged, withQuery } from '../api/index.ts'

export const pageQueries = {
  all: () => ['pages'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: [...pageQueries.all(), 'list'],
      meta: { follows: ['pages', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        ask<PageList>('GET', withQuery('/api/pages', { cursor: pageParam }), { signal }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      // Titles and times change with every edit, and no edit fetches lists.
      staleTime: 0,
    }),
  newest: () =>
    queryOptions({
      queryKey: [...pageQueries.all(), 'newest'],
      meta: { follows: ['pages', 'bin'] },
      queryFn: ({ signal }) => get<PageList>('/api/pages?limit=4', signal),
      staleTime: 0,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...pageQueries.all(), 'one', id],
      meta: { follows: ['pages', 'bin'] },
      queryFn: ({ signal }) => get<Page>(pagePath(id), signal),
    }),
}

export function pagePath(id: string): string {
  return `/api/pages/${id}`
}

export function useCreatePage() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['pages'] },
    mutationFn: ({ key, ...body }: NewPage & { readonly key: string }) =>
      ask<Page>('POST', '/api/pages', { body, key }),
    onSuccess: (page) => client.setQueryData(pageQueries.one(page.id).queryKey, page),
  })
}

export function usePublish(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['pages'] },
    mutationFn: (revision: number) => ask<Page>('POST', `${pagePath(id)}/published`, { revision }),
    onSuccess: (page) => client.setQueryData(pageQueries.one(id).queryKey, page),
  })
}

/** Removes a new page that was not changed. */
export function useDiscardPage(id: string): () => void {
  const client = useQueryClient()
  return () => {
    client.removeQueries({ queryKey: pageQueries.one(id).queryKey })
    // Where the server refuses, or cannot be had, the page is still there, which loses nothing.
    ask('DELETE', `/api/things/${id}`).then(
      () => tellChanged(client, ['pages']),
      () => undefined,
    )
  }
}
