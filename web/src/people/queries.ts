// What the screens know of people.
import { infiniteQueryOptions, queryOptions, useMutation } from '@tanstack/react-query'
import type {
  Membership,
  MembershipInput,
  PeopleQuery,
  PersonDetail,
  PersonInput,
  PersonPage,
  SignInLink,
  YearGroup,
} from '@valise/core/people'
import { ask, get, withQuery } from '../api/index.ts'

type PeopleFilter = Omit<PeopleQuery, 'cursor' | 'limit'>

export const peopleQueries = {
  all: () => ['people'] as const,
  list: (filter: PeopleFilter) =>
    infiniteQueryOptions({
      queryKey: [...peopleQueries.all(), 'list', filter],
      meta: { follows: ['people'] },
      queryFn: ({ pageParam, signal }) =>
        get<PersonPage>(withQuery('/api/people', { ...filter, cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      placeholderData: (before) => before,
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...peopleQueries.all(), 'one', id],
      meta: { follows: ['people'] },
      queryFn: ({ signal }) => get<PersonDetail>(`/api/people/${id}`, signal),
    }),
  yearGroups: () =>
    queryOptions({
      queryKey: ['year-groups'],
      queryFn: ({ signal }) => get<YearGroup[]>('/api/year-groups', signal),
      staleTime: Infinity,
    }),
}

export function useCreatePerson() {
  return useMutation({
    meta: { showsSaving: true, changes: ['people'], endsWhenFetched: true },
    mutationFn: ({ key, input }: { key: string; input: PersonInput }) =>
      ask<PersonDetail>('POST', '/api/people', { body: input, key }),
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
  return useMutation({
    meta: { showsSaving: true, changes: ['people'], endsWhenFetched: true },
    mutationFn: write,
  })
}
