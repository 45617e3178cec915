// What the screens know of evidence, the tray, the bin and files on their way.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { QueryClient } from '@tanstack/react-query'
import type {
  Evidence,
  EvidenceChange,
  EvidencePage,
  EvidenceRow,
  RenditionKind,
  RightsForMany,
  TagsInUse,
  Tray,
  Upload,
  Uploads,
} from '@valise/core/evidence'
import { ask, get, withQuery } from '../api/index.ts'

/** How often a list looks again while a small picture of something is being made. */
const LOOK_AGAIN_MS = 1000

type Shelf = 'evidence' | 'bin'

export const evidenceQueries = {
  all: () => ['evidence'] as const,
  list: (shelf: Shelf) =>
    infiniteQueryOptions({
      queryKey: [...evidenceQueries.all(), 'list', shelf],
      queryFn: ({ pageParam, signal }) =>
        ask<EvidencePage>('GET', withQuery(`/api/${shelf}`, { cursor: pageParam }), { signal }),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      refetchInterval: ({ state }) => (state.data?.pages.some(hasPictureInTheMaking) ? LOOK_AGAIN_MS : false),
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...evidenceQueries.all(), 'one', id],
      queryFn: ({ signal }) => get<Evidence>(`/api/evidence/${id}`, signal),
      refetchInterval: ({ state }) => (state.data?.version.preview === 'making' ? LOOK_AGAIN_MS : false),
    }),
  tags: () =>
    queryOptions({
      queryKey: [...evidenceQueries.all(), 'tags'],
      queryFn: ({ signal }) => get<TagsInUse>('/api/evidence/tags', signal),
    }),
}

export const trayQueries = {
  all: () =>
    queryOptions({
      queryKey: ['tray'],
      queryFn: ({ signal }) => get<Tray>('/api/tray', signal),
      refetchInterval: ({ state }) =>
        state.data?.some(({ version }) => version.preview === 'making') ? LOOK_AGAIN_MS : false,
    }),
}

export const uploadQueries = {
  open: () =>
    queryOptions({
      queryKey: ['uploads'],
      queryFn: ({ signal }) => get<Uploads>('/api/uploads', signal),
      staleTime: 0,
    }),
}

/** What an upload became, asked once it has arrived. */
export function getUpload(id: string): Promise<Upload> {
  return get<Upload>(`/api/uploads/${id}`)
}

/** What this person began and has not finished. */
export function listUploads(): Promise<Uploads> {
  return get<Uploads>('/api/uploads')
}

function hasPictureInTheMaking({ items }: EvidencePage): boolean {
  return items.some(({ version }) => version.preview === 'making')
}

export function renditionAddress(
  { id, version }: { readonly id: string; readonly version: { readonly n: number } },
  kind: RenditionKind,
): string {
  return `/api/evidence/${id}/versions/${version.n}/${kind}`
}

export function fileAddress(id: string, n: number): string {
  return `/api/evidence/${id}/versions/${n}/file`
}

/** Everything that may show an item is fetched anew. */
export function refreshEvidence(client: QueryClient): Promise<void> {
  void client.invalidateQueries({ queryKey: trayQueries.all().queryKey })
  return client.invalidateQueries({ queryKey: evidenceQueries.all() })
}

/**
 * Changes an item. Changes of one item go one after the other, each over the revision that the one before came to.
 */
export function useChangeEvidence(id: string) {
  const client = useQueryClient()
  const { queryKey } = evidenceQueries.one(id)
  return useMutation({
    meta: { kept: true },
    scope: { id: `evidence-${id}` },
    mutationFn: (change: EvidenceChange) => {
      const revision = client.getQueryData(queryKey)?.revision ?? 0
      return ask<Evidence>('PATCH', `/api/evidence/${id}`, { body: change, revision })
    },
    onSuccess: (item) => {
      client.setQueryData(queryKey, item)
      return refreshEvidence(client)
    },
    // Somebody was faster: what they made of it is shown beside what was typed here.
    onError: () => client.invalidateQueries({ queryKey }),
  })
}

export function useRestoreVersion(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { kept: true },
    mutationFn: ({ n, revision }: { n: number; revision: number }) =>
      ask<Evidence>('POST', `/api/evidence/${id}/versions`, { body: { from: n }, revision }),
    onSuccess: () => refreshEvidence(client),
  })
}

export function useDeclareRights() {
  const client = useQueryClient()
  return useMutation({
    meta: { kept: true },
    mutationFn: (body: RightsForMany) => ask<undefined>('PUT', '/api/evidence/rights', { body }),
    onSuccess: () => refreshEvidence(client),
  })
}

/** Picks up or puts back. The tray shows it at once and goes back where the server refuses. */
export function useCarry() {
  const client = useQueryClient()
  const { queryKey } = trayQueries.all()
  return useMutation({
    meta: { kept: true },
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
    onSettled: () => client.invalidateQueries({ queryKey }),
  })
}

/** Whoever asks hears of it before anything is fetched anew: the drawer may go then. */
export function useBin() {
  const client = useQueryClient()
  return useMutation({
    meta: { kept: true },
    mutationFn: ({ id, into }: { id: string; into: boolean }) =>
      ask<undefined>(into ? 'PUT' : 'DELETE', `/api/bin/${id}`),
    onSuccess: () => void refreshEvidence(client),
  })
}

export function useRemoveForGood() {
  const client = useQueryClient()
  return useMutation({
    meta: { kept: true },
    mutationFn: (id: string) => ask<undefined>('DELETE', `/api/evidence/${id}`),
    onSuccess: () => refreshEvidence(client),
  })
}

/** Gives up a file that is on its way. The protocol wants its version named. */
export function giveUpUpload(id: string): Promise<undefined> {
  return ask<undefined>('DELETE', `/api/uploads/${id}`, { headers: { 'tus-resumable': '1.0.0' } })
}
