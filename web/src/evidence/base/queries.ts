// Queries of evidence: searches, one item, tags and saved searches; and the mutations.
import { infiniteQueryOptions, queryOptions, useMutation, useQueryClient } from '@tanstack/react-query'
import type { InfiniteData, QueryClient } from '@tanstack/react-query'
import { everything, writeEvidenceQuery } from '@valise/core/evidence'
import type {
  DataTable,
  Evidence,
  EvidenceChange,
  EvidenceCounts,
  EvidencePage,
  EvidenceQuery,
  EvidenceRow,
  Inside,
  Moment,
  NewSavedQuery,
  RenamedTag,
  RightsForMany,
  SavedQuery,
  TagsForMany,
  TagsInUse,
} from '@valise/core/evidence'
import { ask, get, inPortions, withQuery } from '../../api/index.ts'

/** How often a list looks again while a small picture of something is being made. */
const LOOK_AGAIN_MS = 1000
const PAGE = 60

const allKey = ['evidence'] as const
const listsKey = [...allKey, 'list'] as const

export const evidenceQueries = {
  all: () => allKey,
  found: (query: EvidenceQuery) =>
    infiniteQueryOptions({
      queryKey: [...listsKey, writeEvidenceQuery(query)],
      meta: { follows: ['evidence', 'bin'] },
      queryFn: ({ pageParam, signal }) =>
        ask<EvidencePage>(
          'GET',
          withQuery('/api/evidence', { ...writeEvidenceQuery(query), cursor: pageParam, limit: PAGE }),
          { signal },
        ),
      initialPageParam: null as string | null,
      getNextPageParam: (page) => page.next,
      refetchInterval: ({ state }) => (isInTheMaking(state.data) ? LOOK_AGAIN_MS : false),
    }),
  everything: () => evidenceQueries.found(everything),
  counts: (query: EvidenceQuery) =>
    queryOptions({
      queryKey: [...allKey, 'counts', writeEvidenceQuery({ ...query, order: 'latest' })],
      meta: { follows: ['evidence', 'bin'] },
      queryFn: ({ signal }) =>
        get<EvidenceCounts>(
          withQuery('/api/evidence/counts', writeEvidenceQuery({ ...query, order: 'latest' })),
          signal,
        ),
    }),
  one: (id: string) =>
    queryOptions({
      queryKey: [...allKey, 'one', id],
      meta: { follows: ['evidence', 'bin'] },
      queryFn: ({ signal }) => get<Evidence>(`/api/evidence/${id}`, signal),
      refetchInterval: ({ state }) => (state.data && isWorkedOn(state.data) ? LOOK_AGAIN_MS : false),
    }),
  inside: (id: string, n: number) =>
    queryOptions({
      queryKey: [...allKey, 'inside', id, n],
      queryFn: ({ signal }) => get<Inside>(`/api/evidence/${id}/versions/${n}/inside`, signal),
      staleTime: Infinity,
    }),
  table: (id: string, n: number) =>
    queryOptions({
      queryKey: [...allKey, 'table', id, n],
      queryFn: ({ signal }) => get<DataTable>(`/api/evidence/${id}/versions/${n}/table`, signal),
      staleTime: Infinity,
    }),
  tags: () =>
    queryOptions({
      queryKey: [...allKey, 'tags'],
      meta: { follows: ['evidence', 'bin'] },
      queryFn: ({ signal }) => get<TagsInUse>('/api/evidence/tags', signal),
    }),
  saved: () =>
    queryOptions({
      queryKey: [...allKey, 'saved'],
      meta: { follows: ['evidence', 'bin'] },
      queryFn: ({ signal }) => get<SavedQuery[]>('/api/evidence/queries', signal),
    }),
}

/** Fetches the ids of a search, to select all of them. */
export async function findAllIds(query: EvidenceQuery): Promise<string[]> {
  const { ids } = await get<{ ids: string[] }>(withQuery('/api/evidence/ids', writeEvidenceQuery(query)))
  return ids
}

function isInTheMaking(data: InfiniteData<EvidencePage> | undefined): boolean {
  return data?.pages.some(({ items }) => items.some(({ version }) => version.preview === 'making')) ?? false
}

function isWorkedOn({ version }: Evidence): boolean {
  return version.preview === 'making' || version.textState === 'unread'
}

/** Returns an item that was fetched before; undefined where none was. */
export function loadedEvidence(client: QueryClient, id: string): Evidence | undefined {
  return client.getQueryData(evidenceQueries.one(id).queryKey)
}

/** Updates an item in every cached list before the refetch. */
function showChanged(client: QueryClient, item: Evidence): void {
  client.setQueryData(evidenceQueries.one(item.id).queryKey, item)
  client.setQueriesData<InfiniteData<EvidencePage>>({ queryKey: listsKey }, (data) => {
    if (!data?.pages.some(({ items }) => items.some(({ id }) => id === item.id))) return data
    return {
      ...data,
      pages: data.pages.map((page) => ({
        ...page,
        items: page.items.map((one) => (one.id === item.id ? toRow(item) : one)),
      })),
    }
  })
}

function toRow(item: Evidence): EvidenceRow {
  const { id, kind, title, alternativeText, madeAt, version, inTray, binnedAt, rights } = item
  return { id, kind, title, alternativeText, madeAt, version, inTray, binnedAt, rightsState: rights.state }
}

/** Changes an item. Changes of one item are sent one after the other, each at the revision of the one before. */
export function useChangeEvidence(id: string) {
  const client = useQueryClient()
  const { queryKey } = evidenceQueries.one(id)
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    scope: { id: `evidence-${id}` },
    mutationFn: (change: EvidenceChange) => {
      const revision = client.getQueryData(queryKey)?.revision ?? 0
      return ask<Evidence>('PATCH', `/api/evidence/${id}`, { body: change, revision })
    },
    onSuccess: (item) => showChanged(client, item),
    // Somebody was faster: what they made of it is shown beside what was typed here.
    onError: () => client.invalidateQueries({ queryKey }),
  })
}

/** Changes the moments of a recording about an item, or detaches it. */
export function useVoiceOver(id: string) {
  const client = useQueryClient()
  const onSuccess = (item: Evidence) => showChanged(client, item)
  const onError = () => client.invalidateQueries({ queryKey: evidenceQueries.one(id).queryKey })
  const change = useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ voiceId, revision, moments }: { voiceId: string; revision: number; moments: Moment[] }) =>
      ask<Evidence>('PUT', `/api/evidence/${id}/voices/${voiceId}`, { body: { moments }, revision }),
    onSuccess,
    onError,
  })
  const takeOff = useMutation({
    meta: { showsSaving: true },
    mutationFn: ({ voiceId }: { voiceId: string }) =>
      ask<Evidence>('DELETE', `/api/evidence/${id}/voices/${voiceId}`),
    onSuccess,
    onError,
  })
  return { change, takeOff }
}

export function useRestoreVersion(id: string) {
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    mutationFn: ({ n, revision }: { n: number; revision: number }) =>
      ask<Evidence>('POST', `/api/evidence/${id}/versions`, { body: { from: n }, revision }),
  })
}

/** Asks a link's site or the shared drive about an item again. */
export function useCheckAgain(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { changes: ['evidence'] },
    mutationFn: (what: 'link' | 'drive') =>
      ask<Evidence>(
        'POST',
        what === 'link' ? `/api/links/${id}/check-again` : `/api/evidence/${id}/drive/check`,
      ),
    onSuccess: (item) => showChanged(client, item),
  })
}

/** Disconnects a connected document: the item stays as it is. */
export function useLetGo(id: string) {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: () => ask<Evidence>('DELETE', `/api/evidence/${id}/drive`),
    onSuccess: (item) => showChanged(client, item),
  })
}

export function useDeclareRights() {
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    mutationFn: ({ ids, rights }: RightsForMany) =>
      inPortions(ids, (some) => ask('PUT', '/api/evidence/rights', { body: { ids: some, rights } })),
  })
}

export function useTagMany() {
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    mutationFn: ({ ids, add }: TagsForMany) =>
      inPortions(ids, (some) => ask('PUT', '/api/evidence/tagged', { body: { ids: some, add } })),
  })
}

export function useRenameTag() {
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    mutationFn: (body: RenamedTag) => ask<undefined>('PUT', '/api/evidence/tags', { body }),
  })
}

export function useCarryMany() {
  return useMutation({
    meta: { showsSaving: true, changes: ['evidence'], endsWhenFetched: true },
    mutationFn: (ids: readonly string[]) =>
      inPortions(ids, (some) => ask('PUT', '/api/tray', { body: { ids: some } })),
  })
}

export function useSaveQuery() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (body: NewSavedQuery) => ask<SavedQuery>('POST', '/api/evidence/queries', { body }),
    onSuccess: () => client.invalidateQueries({ queryKey: evidenceQueries.saved().queryKey }),
  })
}

export function useLetQueryGo() {
  const client = useQueryClient()
  return useMutation({
    meta: { showsSaving: true },
    mutationFn: (id: string) => ask<undefined>('DELETE', `/api/evidence/queries/${id}`),
    onSuccess: () => client.invalidateQueries({ queryKey: evidenceQueries.saved().queryKey }),
  })
}
