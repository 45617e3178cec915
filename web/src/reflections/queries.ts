// What the screens know of logbooks and entries, and what they can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { Entry, EntryList, Logbook, NewEntry } from '@valise/core/reflections'
import { ask, get, withQuery } from '../api/index.ts'

export const reflectionQueries = {
  all: () => ['reflections'] as const,
  logbooks: () =>
    queryOptions({
      queryKey: [...reflectionQueries.all(), 'logbooks'],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ signal }) => get<Logbook[]>('/api/logbooks', signal),
    }),
  logbook: (id: string) =>
    queryOptions({
      queryKey: [...reflectionQueries.all(), 'logbook', id],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ signal }) => get<Logbook>(`/api/logbooks/${id}`, signal),
    }),
  /** Of one logbook, or with null of all. */
  entries: (logbookId: string | null) =>
    infiniteQueryOptions({
      queryKey: [...reflectionQueries.all(), 'entries', logbookId],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        ask<EntryList>('GET', withQuery('/api/entries', { cursor: pageParam, logbookId }), { signal }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      // What lists tell of entries changes with every edit, and no edit fetches lists.
      staleTime: 0,
    }),
  entry: (id: string) =>
    queryOptions({
      queryKey: [...reflectionQueries.all(), 'entry', id],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ signal }) => get<Entry>(entryPath(id), signal),
    }),
}

export function entryPath(id: string): string {
  return `/api/entries/${id}`
}

export function useCreateLogbook() {
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    mutationFn: ({ title, key }: { readonly title: string; readonly key: string }) =>
      ask<Logbook>('POST', '/api/logbooks', { body: { title }, key }),
  })
}

export function useRenameLogbook({ id, revision }: Logbook) {
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    mutationFn: (title: string) =>
      ask<Logbook>('PATCH', `/api/logbooks/${id}`, { body: { title }, revision }),
  })
}

export function useCreateEntry(logbookId: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'] },
    mutationFn: ({ key, ...body }: NewEntry & { readonly key: string }) =>
      ask<Entry>('POST', `/api/logbooks/${logbookId}/entries`, { body, key }),
    onSuccess: (entry) => client.setQueryData(reflectionQueries.entry(entry.id).queryKey, entry),
  })
}

export function useDateEntry({ id, revision }: Entry) {
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    mutationFn: (day: string) => ask<Entry>('PATCH', entryPath(id), { body: { day }, revision }),
  })
}
