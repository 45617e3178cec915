// What the screens know of passes and of what others opened, and what they can have done with them.
import { infiniteQueryOptions, queryOptions, useMutation } from '@tanstack/react-query'
import type {
  Audiences,
  LookAs,
  NewPass,
  SharedWithMeList,
  Pass,
  PassChange,
  ReadCollection,
  ReadPage,
  SeenBy,
  Sharing,
} from '@valise/core/access'
import { ask, get, withQuery } from '../api/index.ts'

/** Whom to look as: a person, the holder of a link, or somebody without access. */
export type Looker =
  | { readonly kind: 'person'; readonly personId: string }
  | { readonly kind: 'link'; readonly passId: string }
  | { readonly kind: 'stranger' }

export const accessQueries = {
  all: () => ['sharing'] as const,
  sharing: () =>
    queryOptions({
      queryKey: [...accessQueries.all(), 'mine'],
      meta: { follows: ['passes', 'collections', 'bin'] },
      queryFn: ({ signal }) => get<Sharing>('/api/sharing', signal),
      // Pages are published and arranged elsewhere, and nothing of that fetches this.
      staleTime: 0,
    }),
  audiences: () =>
    queryOptions({
      queryKey: [...accessQueries.all(), 'audiences'],
      meta: { follows: ['passes', 'collections', 'bin'] },
      queryFn: ({ signal }) => get<Audiences>('/api/sharing/audiences', signal),
    }),
  lookAs: (looker: Looker, at: string | null) =>
    queryOptions({
      queryKey: [...accessQueries.all(), 'look', looker, at],
      meta: { follows: ['passes', 'collections', 'bin'] },
      queryFn: ({ signal }) =>
        get<LookAs>(
          withQuery('/api/sharing/look-as', {
            personId: looker.kind === 'person' ? looker.personId : null,
            passId: looker.kind === 'link' ? looker.passId : null,
            at,
          }),
          signal,
        ),
      staleTime: 0,
    }),
  seers: (id: string) =>
    queryOptions({
      queryKey: [...accessQueries.all(), 'seers', id],
      meta: { follows: ['passes', 'collections', 'bin'] },
      queryFn: ({ signal }) => get<SeenBy>(`/api/things/${id}/seen-by`, signal),
      staleTime: 0,
    }),
  opened: () =>
    infiniteQueryOptions({
      queryKey: ['shared-with-me', 'list'],
      meta: { follows: ['bin'] },
      queryFn: ({ pageParam, signal }) =>
        get<SharedWithMeList>(withQuery('/api/shared-with-me', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      staleTime: 0,
    }),
  collection: (id: string) =>
    queryOptions({
      queryKey: ['reading', 'collection', id],
      meta: { follows: ['collections', 'bin'] },
      queryFn: ({ signal }) => get<ReadCollection>(`/api/collections/${id}/read`, signal),
      // Who reads here may have published elsewhere meanwhile.
      staleTime: 0,
    }),
  page: (id: string) =>
    queryOptions({
      queryKey: ['reading', 'page', id],
      meta: { follows: ['bin'] },
      queryFn: ({ signal }) => get<ReadPage>(`/api/pages/${id}/published`, signal),
      staleTime: 0,
    }),
}

export function useGivePass() {
  return useMutation({
    meta: { showsSaving: true, changes: ['passes'], endsWhenFetched: true },
    mutationFn: ({ key, ...body }: NewPass & { readonly key: string }) =>
      ask<Pass>('POST', '/api/passes', { body, key }),
  })
}

/** Changes one pass; afterwards, done or refused, all queries that depend on access are refetched. */
export function usePassActs({ id, revision }: Pick<Pass, 'id' | 'revision'>) {
  const meta = { showsSaving: true, changes: ['passes'], endsWhenFetched: true } as const
  const changeDays = useMutation({
    meta,
    mutationFn: (body: PassChange) => ask<Pass>('PATCH', `/api/passes/${id}`, { body, revision }),
  })
  const end = useMutation({ meta, mutationFn: () => ask<Pass>('POST', `/api/passes/${id}/end`) })
  const renew = useMutation({ meta, mutationFn: () => ask<Pass>('POST', `/api/passes/${id}/address`) })
  return { changeDays, end, renew }
}
