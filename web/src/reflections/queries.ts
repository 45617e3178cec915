// What the screens know of logbooks and entries, and what they can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type {
  Entry,
  EntryChange,
  EntryList,
  EntryMove,
  EntryQuery,
  EntryReading,
  Logbook,
  LogbookChange,
  LogbookFacets,
  NewEntry,
} from '@valise/core/reflections'
import { ask, get, withQuery } from '../api/index.ts'

export type EntryWish = Omit<EntryQuery, 'cursor' | 'limit'>

interface EntryToCreate extends NewEntry {
  readonly logbookId: string
  readonly key: string
}

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
  facets: (id: string, until: string) =>
    queryOptions({
      queryKey: [...reflectionQueries.all(), 'facets', id, until],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ signal }) => get<LogbookFacets>(withQuery(`/api/logbooks/${id}/facets`, { until }), signal),
      staleTime: 0,
    }),
  /** Entries with all that they show, to be read one after the other. */
  reading: (wish: EntryWish) =>
    infiniteQueryOptions({
      queryKey: [...reflectionQueries.all(), 'reading', wish],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        ask<EntryReading>('GET', withQuery('/api/entries/reading', { ...wish, cursor: pageParam }), {
          signal,
        }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      staleTime: 0,
    }),
  /** Of one logbook, or of all. */
  entries: (wish: EntryWish = {}) =>
    infiniteQueryOptions({
      queryKey: [...reflectionQueries.all(), 'entries', wish],
      meta: { follows: ['reflections', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        ask<EntryList>('GET', withQuery('/api/entries', { ...wish, cursor: pageParam }), { signal }),
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

/** Changes a logbook. Changes of one logbook are sent one after the other, each at the revision of the one before. */
export function useChangeLogbook({ id }: Logbook) {
  const client = useQueryClient()
  const { queryKey } = reflectionQueries.logbook(id)
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    scope: { id: `logbook-${id}` },
    mutationFn: (change: LogbookChange) => {
      const revision = client.getQueryData(queryKey)?.revision ?? 0
      return ask<Logbook>('PATCH', `/api/logbooks/${id}`, { body: change, revision })
    },
    onSuccess: (logbook) => client.setQueryData(queryKey, logbook),
    onError: () => client.invalidateQueries({ queryKey }),
  })
}

export function useCreateEntry() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'] },
    mutationFn: ({ key, logbookId, ...body }: EntryToCreate) =>
      ask<Entry>('POST', `/api/logbooks/${logbookId}/entries`, { body, key }),
    onSuccess: (entry) => client.setQueryData(reflectionQueries.entry(entry.id).queryKey, entry),
  })
}

export function useMoveEntries() {
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    mutationFn: (move: EntryMove) => ask('POST', '/api/entries/moved', { body: move }),
  })
}

/** Changes the day or the tags of an entry, one change after the other, as `useChangeLogbook` does. */
export function useChangeEntry({ id }: Entry) {
  const client = useQueryClient()
  const { queryKey } = reflectionQueries.entry(id)
  return useMutation({
    meta: { showsSaving: true, changes: ['reflections'], endsWhenFetched: true },
    scope: { id: `entry-${id}` },
    mutationFn: (change: EntryChange) => {
      const revision = client.getQueryData(queryKey)?.revision ?? 0
      return ask<Entry>('PATCH', entryPath(id), { body: change, revision })
    },
    onSuccess: (entry) => client.setQueryData(queryKey, entry),
    onError: () => client.invalidateQueries({ queryKey }),
  })
}
