// The next page of a list that is fetched by cursor.
import type { UseInfiniteQueryResult } from '@tanstack/react-query'

/** What is used of a list that is fetched page by page. */
export type PagedQuery<T = unknown> = Pick<
  UseInfiniteQueryResult<T>,
  'hasNextPage' | 'isFetching' | 'isFetchingNextPage' | 'refetch' | 'fetchNextPage'
>

/**
 * Fetches the next page, after a fetch that is under way: left to itself it would cancel that one, and what has left the
 * list meanwhile would stay in the pages from before.
 *
 * @returns the pages that there are then; undefined where there are none
 */
export async function fetchMore<T>(query: PagedQuery<T>): Promise<T | undefined> {
  if (query.isFetching) {
    const { data } = await query.refetch({ cancelRefetch: false })
    if (query.isFetchingNextPage) return data
  }
  return (await query.fetchNextPage({ cancelRefetch: false })).data
}
