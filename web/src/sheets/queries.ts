// What the screens know of question sheets, and what they can have done with them.
import { queryOptions, useMutation } from '@tanstack/react-query'
import type { NewSheet, OwnSheet, SheetContent, SheetRow, SheetVersion } from '@valise/core/sheets'
import { ask, get } from '../api/index.ts'

export const sheetQueries = {
  all: () => ['sheets'] as const,
  list: () =>
    queryOptions({
      queryKey: [...sheetQueries.all(), 'list'],
      meta: { follows: ['sheets', 'bin'] },
      queryFn: ({ signal }) => get<SheetRow[]>('/api/sheets', signal),
    }),
  own: (id: string) =>
    queryOptions({
      queryKey: [...sheetQueries.all(), 'own', id],
      meta: { follows: ['sheets', 'bin'] },
      queryFn: ({ signal }) => fetchSheet(id, signal),
    }),
  newest: (id: string) =>
    queryOptions({
      queryKey: [...sheetQueries.all(), 'newest', id],
      meta: { follows: ['sheets', 'bin'] },
      queryFn: ({ signal }) => fetchNewest(id, signal),
    }),
}

export function fetchSheet(id: string, signal?: AbortSignal): Promise<OwnSheet> {
  return get<OwnSheet>(`/api/sheets/${id}`, signal)
}

export function fetchNewest(id: string, signal?: AbortSignal): Promise<SheetVersion> {
  return get<SheetVersion>(`/api/sheets/${id}/newest`, signal)
}

export function writeSheet(id: string, content: SheetContent, revision: number): Promise<OwnSheet> {
  return ask<OwnSheet>('PUT', `/api/sheets/${id}`, { body: { content }, revision })
}

export function useCreateSheet() {
  return useMutation({
    meta: { showsSaving: true, changes: ['sheets'] },
    mutationFn: ({ key, ...body }: NewSheet & { readonly key: string }) =>
      ask<OwnSheet>('POST', '/api/sheets', { body, key }),
  })
}

export function usePublishSheet(id: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['sheets'], endsWhenFetched: true },
    mutationFn: (revision: number) =>
      ask<OwnSheet>('POST', `/api/sheets/${id}/versions`, { body: {}, revision }),
  })
}

export function useOfferSheet(id: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['sheets'], endsWhenFetched: true },
    mutationFn: ({
      classIds,
      revision,
    }: {
      readonly classIds: readonly string[]
      readonly revision: number
    }) => ask<OwnSheet>('PUT', `/api/sheets/${id}/offers`, { body: { classIds }, revision }),
  })
}
