// What the screens know of things, whatever their kind.
import { queryOptions } from '@tanstack/react-query'
import type { Use } from '@valise/core/things'
import { get } from '../api/index.ts'

export const thingQueries = {
  uses: (id: string) =>
    queryOptions({
      queryKey: ['things', 'uses', id],
      meta: { follows: ['bin'] },
      queryFn: ({ signal }) => get<Use[]>(`/api/things/${id}/uses`, signal),
      staleTime: 0,
    }),
}
