// What the screens know of the bin, and what they can have done with it.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { BinEffects, BinList } from '@valise/core/bin'
import { ask, get, inPortions, tellChanged, withQuery } from '../api/index.ts'

export const binQueries = {
  all: () => ['bin'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: [...binQueries.all(), 'list'],
      meta: { follows: ['bin'] },
      queryFn: ({ pageParam, signal }) => get<BinList>(withQuery('/api/bin', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      // Things come here from all screens.
      staleTime: 0,
    }),
  effects: (id: string) =>
    queryOptions({
      queryKey: [...binQueries.all(), 'effects', id],
      meta: { follows: ['bin'] },
      queryFn: ({ signal }) => get<BinEffects>(`/api/things/${id}/bin/effects`, signal),
      staleTime: 0,
    }),
}

export type BinAct = 'in' | 'out' | 'remove'

const requests = {
  in: (id) => ask<undefined>('PUT', `/api/things/${id}/bin`),
  out: (id) => ask<undefined>('DELETE', `/api/things/${id}/bin`),
  remove: (id) => ask<undefined>('DELETE', `/api/things/${id}`),
} satisfies Record<BinAct, (id: string) => Promise<undefined>>

/** Moves a thing into or out of the bin, or removes it. */
export function useBin() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ id, act }: { readonly id: string; readonly act: BinAct }) => requests[act](id),
    onSuccess: (_answer, { id, act }) => void tellChanged(client, ['bin'], act === 'out' ? [] : [id]),
  })
}

/** Moves many things into the bin. */
export function useBinMany() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (ids: readonly string[]) =>
      inPortions(ids, (some) => ask('PUT', '/api/bin', { body: { ids: some } })),
    onSuccess: (_answer, ids) => void tellChanged(client, ['bin'], ids),
  })
}
