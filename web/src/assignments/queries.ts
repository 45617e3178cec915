// What the screens know of assignments, and what assessors can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { Assignment, AssignmentInput, AssignmentList, NewAssignment } from '@valise/core/assignments'
import { ask, get, withQuery } from '../api/index.ts'

export const assignmentQueries = {
  all: () => ['assignments'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: [...assignmentQueries.all(), 'list'],
      meta: { follows: ['assignments'] },
      queryFn: ({ pageParam, signal }) =>
        get<AssignmentList>(withQuery('/api/assignments', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      staleTime: 0,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...assignmentQueries.all(), 'one', id],
      meta: { follows: ['assignments'] },
      queryFn: ({ signal }) => get<Assignment>(`/api/assignments/${id}`, signal),
    }),
}

export function useSetAssignment() {
  return useMutation({
    meta: { showsSaving: true, changes: ['assignments'], endsWhenFetched: true },
    mutationFn: ({ key, ...body }: NewAssignment & { readonly key: string }) =>
      ask<Assignment>('POST', '/api/assignments', { body, key }),
  })
}

export function useChangeAssignment({ id, revision }: Pick<Assignment, 'id' | 'revision'>) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['assignments'], endsWhenFetched: true },
    mutationFn: (body: AssignmentInput) =>
      ask<Assignment>('PUT', `/api/assignments/${id}`, { body, revision }),
    // Refused as stale, what somebody else saved meanwhile is shown under one's own changes.
    onSuccess: (assignment) => client.setQueryData(assignmentQueries.one(id).queryKey, assignment),
  })
}

/** Ends an assignment, opens it again, or removes it where nothing was handed in. */
export function useEndAssignment(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true, changes: ['assignments'], endsWhenFetched: true },
    mutationFn: (act: 'end' | 'open' | 'remove') =>
      act === 'remove'
        ? ask<Assignment | undefined>('DELETE', `/api/assignments/${id}`)
        : ask<Assignment | undefined>(act === 'end' ? 'PUT' : 'DELETE', `/api/assignments/${id}/end`),
    onSuccess: (assignment) => {
      if (assignment) client.setQueryData(assignmentQueries.one(id).queryKey, assignment)
    },
  })
}
