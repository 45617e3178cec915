// What the screens know of people and sessions.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type {
  Membership,
  MembershipInput,
  MySession,
  OpenSession,
  PeopleQuery,
  PersonDetail,
  PersonInput,
  PersonPage,
  Preferences,
  School,
  SignedIn,
  SignIn,
  SignInLink,
  YearGroup,
} from '@valise/core/people'
import { ask, get, withQuery } from '../api/index.ts'
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

type PeopleFilter = Omit<PeopleQuery, 'cursor' | 'limit'>

export const peopleQueries = {
  all: () => ['people'] as const,
  list: (filter: PeopleFilter) =>
    infiniteQueryOptions({
      queryKey: [...peopleQueries.all(), 'list', filter],
      queryFn: ({ pageParam, signal }) =>
        get<PersonPage>(withQuery('/api/people', { ...filter, cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      placeholderData: (before) => before,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...peopleQueries.all(), 'one', id],
      queryFn: ({ signal }) => get<PersonDetail>(`/api/people/${id}`, signal),
    }),
  yearGroups: () =>
    queryOptions({
      queryKey: ['year-groups'],
      queryFn: ({ signal }) => get<YearGroup[]>('/api/year-groups', signal),
      staleTime: Infinity,
    }),
}

/** Signs in. All cached data is dropped: it may be another person's. */
export function useSignIn() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: SignIn) => ask<SignedIn>('POST', '/api/session', { body }),
    onSuccess: (session) => client.setQueryData(sessionQueries.me().queryKey, session),
  })
}

export function useChoosePassword() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (body: { token: string; password: string }) =>
      ask<SignedIn>('POST', '/api/password/chosen', { body }),
    onSuccess: (session) => {
      client.clear()
      client.setQueryData(sessionQueries.me().queryKey, session)
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
      client.setQueryData(sessionQueries.me().queryKey, session)
      tellTabs('preferences')
    },
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

/** Ends one of my other sessions; all of them without an id. */
export function useEndSessions() {
  const client = useQueryClient()
  return useMutation({
    mutationFn: (id: string | null) =>
      ask<undefined>('DELETE', id === null ? '/api/sessions' : `/api/sessions/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: sessionQueries.all().queryKey }),
  })
}

export function useCreatePerson() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ key, input }: { key: string; input: PersonInput }) =>
      ask<PersonDetail>('POST', '/api/people', { body: input, key }),
    onSuccess: () => client.invalidateQueries({ queryKey: peopleQueries.all() }),
  })
}

export function useUpdatePerson(id: string) {
  return useSavedPerson((change: { revision: number; input: PersonInput }) =>
    ask<PersonDetail>('PUT', `/api/people/${id}`, { body: change.input, revision: change.revision }),
  )
}

export function useEndPerson(id: string) {
  return useSavedPerson((change: { revision: number; ended: boolean }) =>
    ask<PersonDetail>('PUT', `/api/people/${id}/ended`, {
      body: { ended: change.ended },
      revision: change.revision,
    }),
  )
}

export function useCreateMembership(personId: string) {
  return useSavedPerson((change: { key: string; input: MembershipInput }) =>
    ask<Membership>('POST', `/api/people/${personId}/memberships`, { body: change.input, key: change.key }),
  )
}

export function useUpdateMembership() {
  return useSavedPerson(
    (change: { id: string; revision: number; days: Pick<MembershipInput, 'firstDay' | 'lastDay'> }) =>
      ask<Membership>('PATCH', `/api/memberships/${change.id}`, {
        body: change.days,
        revision: change.revision,
      }),
  )
}

export function useSignInLink(personId: string) {
  return useMutation({
    mutationFn: () => ask<SignInLink>('POST', `/api/people/${personId}/sign-in-link`),
  })
}

/** A write to a person; afterwards, done or refused as stale, people are fetched afresh. */
function useSavedPerson<Change, Answer>(write: (change: Change) => Promise<Answer>) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: write,
    onSettled: async () => {
      await client.invalidateQueries({ queryKey: peopleQueries.all() })
      await client.invalidateQueries({ queryKey: ['classes'] })
    },
  })
}
