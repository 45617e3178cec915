// What Today asks the server for beside the plan of assignments.
import { queryOptions } from '@tanstack/react-query'
import type { TodayStages } from '@valise/core/today'
import { get } from '../api/index.ts'

export const todayQueries = {
  stages: () =>
    queryOptions({
      queryKey: ['today', 'stages'],
      meta: { follows: ['guides', 'submissions', 'reflections', 'evidence', 'pages', 'bin'] },
      queryFn: ({ signal }) => get<TodayStages>('/api/today/stages', signal),
      staleTime: 0,
    }),
}
