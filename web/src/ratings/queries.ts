// What the screens know of self-ratings. They are made in entries, so there is nothing to change here.
import { queryOptions } from '@tanstack/react-query'
import type { RatedSet, Rating, RatingList } from '@valise/core/ratings'
import { get, withQuery } from '../api/index.ts'

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
    queryOptions({
      queryKey: [...ratingQueries.all(), 'set', setId],
      meta,
      staleTime: 0,
      queryFn: ({ signal }) => fetchAll(setId, signal),
    }),
}

/** A plot shows all of them: it is of no use before the last page is there. */
async function fetchAll(setId: string, signal: AbortSignal): Promise<Rating[]> {
  const ratings: Rating[] = []
  for (let cursor: string | null | undefined; cursor !== null;) {
    const address = withQuery('/api/ratings', { setId, cursor })
    const page: RatingList = await get<RatingList>(address, signal)
    ratings.push(...page.items)
    cursor = page.next
  }
  return ratings
}
