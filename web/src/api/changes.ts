// What was changed on the server, as all rooms hear of it: a write says what it changed, a query what it follows, and
// neither knows the other.
import type { Query, QueryClient } from '@tanstack/react-query'
import { ApiProblem } from './ApiProblem.ts'

/** What can change, in the words of the domain. `bin`: a thing of any kind went in, came out or was removed. */
export type Topic =
  | 'assignments'
  | 'attributes'
  | 'bin'
  | 'classes'
  | 'collections'
  | 'evidence'
  | 'guides'
  | 'news'
  | 'pages'
  | 'passes'
  | 'people'
  | 'reflections'
  | 'sheets'
  | 'submissions'
  | 'tray'

/** A list that was scrolled further is not fetched anew as a whole for each change. */
const FAR_PAGES = 4

/**
 * Refetches every query that follows one of these topics; long scrolled lists only when they are opened again.
 *
 * @param gone ids of things that are no longer there: what is asked about them is not asked again, since its screen is
 *   about to close
 */
export async function tellChanged(
  client: QueryClient,
  topics: readonly Topic[],
  gone: readonly string[] = [],
): Promise<void> {
  const isFollowing = ({ meta }: Query) => meta?.follows?.some((topic) => topics.includes(topic)) ?? false
  const canWait = ({ queryKey, state }: Query) =>
    isFar(state.data) || gone.some((id) => queryKey.includes(id))
  void client.invalidateQueries({
    refetchType: 'none',
    predicate: (query) => isFollowing(query) && canWait(query),
  })
  await client.invalidateQueries({ predicate: (query) => isFollowing(query) && !canWait(query) })
}

/** Returns whether a write was refused because somebody was faster: what they did is worth fetching. */
export function isOvertaken(error: unknown): boolean {
  return error instanceof ApiProblem && ['stale', 'conflict', 'gone', 'not-found'].includes(error.code)
}

function isFar(data: unknown): boolean {
  return (
    typeof data === 'object' &&
    data !== null &&
    'pages' in data &&
    Array.isArray(data.pages) &&
    data.pages.length > FAR_PAGES
  )
}
