// Who is signed in and in which windows, and the school they are at.
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import type { MySession, OpenSession, Preferences, School, SignedIn, SignIn } from '@valise/core/people'
import { ask, get } from '../api/index.ts'
import { leavePage, tellTabs } from './tabs.ts'

export const sessionQueries = {
  me: () =>
    queryOptions({
      queryKey: ['session'],
      queryFn: ({ signal }) => get<MySession>('/api/session', signal),
      staleTime: Infinity,
    }),
  all: () =>
    queryOptions({
      queryKey: ['sessions'],
      queryFn: ({ signal }) => get<OpenSession[]>('/api/sessions', signal),
    }),
  school: () =>
    queryOptions({
      queryKey: ['school'],
      queryFn: ({ signal }) => get<School>('/api/school', signal),
      staleTime: Infinity,
    }),
}

/** Takes in whoever has signed in, by whichever way. */
export function rememberSession(client: QueryClient, session: MySession): void {
  client.setQueryData(sessionQueries.me().queryKey, session)
}

/** Asks the server again who is signed in. */
export function refreshSession(client: QueryClient): Promise<void> {
  return client.invalidateQueries({ queryKey: sessionQueries.me().queryKey })
}

/** Signs in. All cached data is dropped: it may be another person's. */
export function useSignIn() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: SignIn) => ask<SignedIn>('POST', '/api/session', { body }),
    onSuccess: (session) => rememberSession(client, session),
  })
}

export function useChoosePassword() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: { token: string; password: string }) =>
      ask<SignedIn>('POST', '/api/password/chosen', { body }),
    onSuccess: (session) => {
      client.clear()
      rememberSession(client, session)
    },
  })
}

export function useForgottenPassword() {
  return useMutation({
    mutationFn: (body: { signInName: string }) => ask<undefined>('POST', '/api/password/forgotten', { body }),
  })
}

/** Signs out and leaves nothing of this person in any tab. */
export async function signOut(): Promise<void> {
  await ask('DELETE', '/api/session')
  tellTabs('left')
  leavePage()
}

/** Reports activity to the server. */
export function tellSeen(): Promise<void> {
  return ask('PUT', '/api/session/seen')
}

export function usePreferences() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (body: Preferences) => ask<MySession>('PATCH', '/api/preferences', { body }),
    onSuccess: (session) => {
      rememberSession(client, session)
      tellTabs('preferences')
    },
  })
}

/** Ends one of my other sessions; all of them without an id. */
export function useEndSessions() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: string | null) =>
      ask<undefined>('DELETE', id === null ? '/api/sessions' : `/api/sessions/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: sessionQueries.all().queryKey }),
  })
}

export function useChangePassword() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (body: { present: string; next: string }) => ask<undefined>('PUT', '/api/password', { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: sessionQueries.all().queryKey }),
  })
}
