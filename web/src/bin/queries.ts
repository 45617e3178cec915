// What the screens know of the bin, and what they can have done with it.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { Query } from '@tanstack/react-query'
import type { BinEffects, BinList } from '@valise/core/bin'
import { ask, get, inPortions, withQuery } from '../api/index.ts'

export const binQueries = {
  all: () => ['bin'] as const,
  list: () =>
    infiniteQueryOptions({
      queryKey: [...binQueries.all(), 'list'],
      queryFn: ({ pageParam, signal }) => get<BinList>(withQuery('/api/bin', { cursor: pageParam }), signal),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      // Things come here from all screens.
      staleTime: 0,
    }),
  effects: (id: string) =>
    queryOptions({
      queryKey: [...binQueries.all(), 'effects', id],
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
  const refresh = useRefresh()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ id, act }: { readonly id: string; readonly act: BinAct }) => requests[act](id),
    onSuccess: (_answer, { id, act }) => refresh(act === 'out' ? [] : [id]),
  })
}

/** Moves many things into the bin. */
export function useBinMany() {
  const refresh = useRefresh()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (ids: readonly string[]) =>
      inPortions(ids, (some) => ask('PUT', '/api/bin', { body: { ids: some } })),
    onSuccess: (_answer, ids) => refresh(ids),
  })
}

/**
 * A thing that comes or goes changes lists, counts, uses and what others see: whatever is on the screen is fetched
 * again, but for what is asked about those that are gone, whose screens are about to close.
 */
function useRefresh(): (gone: readonly string[]) => void {
  const client = useQueryClient()
  return (gone) => {
    const isGone = ({ queryKey }: Query) => gone.some((id) => queryKey.includes(id))
    void client.invalidateQueries({ predicate: isGone, refetchType: 'none' })
    void client.invalidateQueries({ predicate: (query) => !isGone(query) })
  }
}
