// The next page of a list that is fetched by cursor.
import type { UseInfiniteQueryResult } from '@tanstack/react-query'

/** The used fields of a list that is fetched page by page. */
export type PagedQuery<T = unknown> = Pick<
  UseInfiniteQueryResult<T>,
  'hasNextPage' | 'isFetching' | 'isFetchingNextPage' | 'refetch' | 'fetchNextPage'
>

/**
 * Fetches the next page after a running fetch: otherwise it would cancel that fetch, and removed items would stay in
 * earlier pages.
 *
 * @returns the pages; undefined for none
 */
export async function fetchMore<T>(query: PagedQuery<T>): Promise<T | undefined> {
  if (query.isFetching) {
    const { data } = await query.refetch({ cancelRefetch: false })
    if (query.isFetchingNextPage) return data
  }
  return (await query.fetchNextPage({ cancelRefetch: false })).data
}
