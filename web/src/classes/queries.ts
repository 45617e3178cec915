// What the screens know of classes.
import { queryOptions, useMutation } from '@tanstack/react-query'
import type { Class, ClassDetail, ClassInput } from '@valise/core/classes'
import { ask, get } from '../api/index.ts'

export const classQueries = {
  all: () => ['classes'] as const,
  mine: () =>
    queryOptions({
      queryKey: [...classQueries.all(), 'mine'],
      meta: { follows: ['classes', 'people'] },
      queryFn: ({ signal }) => get<Class[]>('/api/classes', signal),
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...classQueries.all(), 'one', id],
      meta: { follows: ['classes', 'people'] },
      queryFn: ({ signal }) => get<ClassDetail>(`/api/classes/${id}`, signal),
    }),
}

/** Adds a class, or changes the given one. */
export function useSaveClass(changed: Class | null) {
  return useMutation({
    meta: { showsSaving: true, changes: ['classes'], endsWhenFetched: true },
    mutationFn: ({ key, input }: { key: string; input: ClassInput }) =>
      changed === null
        ? ask<Class>('POST', '/api/classes', { body: input, key })
        : ask<Class>('PUT', `/api/classes/${changed.id}`, { body: input, revision: changed.revision }),
  })
}
