// What the screens know of self-ratings. They are made in entries, so there is nothing to change here.
import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query'
import type { RatedSet, RatingList } from '@valise/core/ratings'
import { ask, get, withQuery } from '../api/index.ts'

const meta = { follows: ['reflections', 'evidence', 'bin'] } as const

export const ratingQueries = {
  all: () => ['ratings'] as const,
  /** The sets that I rated myself by. */
  sets: () =>
    queryOptions({
      queryKey: [...ratingQueries.all(), 'sets'],
      meta,
      // Ratings change with every edit of an entry, and no edit fetches lists.
      staleTime: 0,
      queryFn: ({ signal }) => get<RatedSet[]>('/api/ratings/sets', signal),
    }),
  /** My ratings of one set, the oldest first. */
  ofSet: (setId: string) =>
    infiniteQueryOptions({
      queryKey: [...ratingQueries.all(), 'set', setId],
      meta,
      staleTime: 0,
      queryFn: ({ pageParam, signal }) =>
        ask<RatingList>('GET', withQuery('/api/ratings', { setId, cursor: pageParam }), { signal }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
    }),
}
