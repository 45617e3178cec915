// What the screens know of the tray, and what puts things in and takes them out.
import { queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { EvidenceRow, Tray } from '@valise/core/evidence'
import { ask, get } from '../../api/index.ts'

const LOOK_AGAIN_MS = 1000

export const trayQueries = {
  all: () =>
    queryOptions({
      queryKey: ['tray'],
      meta: { follows: ['tray', 'evidence', 'bin'] },
      queryFn: ({ signal }) => get<Tray>('/api/tray', signal),
      refetchInterval: ({ state }) =>
        state.data?.some(({ version }) => version.preview === 'making') ? LOOK_AGAIN_MS : false,
    }),
}

/** Puts items into the tray or takes them out, optimistically; rolls back when the server refuses. */
export function useCarry() {
  const client = useQueryClient()
  const { queryKey } = trayQueries.all()
  return useMutation({
    mutationKey: queryKey,
    meta: { showsSaving: true },
    // One after the other: what was wished last must be done last.
    scope: { id: 'tray' },
    mutationFn: ({ item, into }: { item: EvidenceRow; into: boolean }) =>
      ask<undefined>(into ? 'PUT' : 'DELETE', `/api/tray/${item.id}`),
    onMutate: async ({ item, into }) => {
      await client.cancelQueries({ queryKey })
      const before = client.getQueryData(queryKey)
      const others = (before ?? []).filter(({ id }) => id !== item.id)
      client.setQueryData(queryKey, into ? [...others, { ...item, inTray: true }] : others)
      return { before }
    },
    onError: (_error, _variables, context) => client.setQueryData(queryKey, context?.before),
    // Until the last of them is done, the server's tray is behind what is shown.
    onSettled: () =>
      client.isMutating({ mutationKey: queryKey }) > 1 ? undefined : client.invalidateQueries({ queryKey }),
  })
}
