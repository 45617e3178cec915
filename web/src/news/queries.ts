// What the screens know of news.
import { infiniteQueryOptions, useMutation } from '@tanstack/react-query'
import type { NewsPage } from '@valise/core/news'
import { ask, withQuery } from '../api/index.ts'

const FRESH_EVERY_MS = 60_000

export const newsQueries = {
  all: () => ['news'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: newsQueries.all(),
      meta: { follows: ['news', 'submissions'] },
      queryFn: ({ pageParam, signal }) =>
        ask<NewsPage>('GET', withQuery('/api/news', { cursor: pageParam }), { signal, background: true }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      refetchInterval: FRESH_EVERY_MS,
    }),
}

/** Marks the news up to this one as seen. */
export function useSeenNews() {
  return useMutation({
    meta: { changes: ['news'] },
    mutationFn: (upTo: string) => ask<undefined>('PUT', '/api/news/seen', { body: { upTo } }),
  })
}
