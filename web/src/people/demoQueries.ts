// The sample world's one-click sign-in. A school's server has no such addresses: there this finds nothing.
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { SignedIn } from '@valise/core/people'
import { ApiProblem, ask, get } from '../api/index.ts'
import { rememberSession } from '../session/index.ts'

interface DemoPerson {
  readonly id: string
  readonly fullName: string
  readonly about: string
  readonly kind: 'student' | 'staff'
  readonly first: boolean
}

export interface Demo {
  readonly people: readonly DemoPerson[]
  /** Somebody without an account, and the link that was given to them. */
  readonly visitor: { readonly name: string; readonly address: string } | null
  readonly mailRoom: string | null
}

export const demoQueries = {
  people: () =>
    queryOptions({
      queryKey: ['demo'],
      queryFn: async ({ signal }) => {
        try {
          return await get<Demo>('/api/demo', signal)
        } catch (error) {
          if (error instanceof ApiProblem && error.code === 'not-found') return null
          throw error
        }
      },
      staleTime: Infinity,
    }),
}

export function useDemoSignIn() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (personId: string) => ask<SignedIn>('POST', '/api/demo/session', { body: { personId } }),
    onSuccess: (session) => rememberSession(client, session),
  })
}
