// What the screens know of the records.
import { infiniteQueryOptions } from '@tanstack/react-query'
import type { RecordAction, RecordPage } from '@valise/core/records'
import { get, withQuery } from '../api/index.ts'

export const recordQueries = {
  list: (action: RecordAction | '') =>
    infiniteQueryOptions({
      queryKey: ['records', action],
      queryFn: ({ pageParam, signal }) =>
        get<RecordPage>(withQuery('/api/records', { action, cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      placeholderData: (before) => before,
    }),
}
