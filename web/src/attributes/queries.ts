// What the screens know of sets of attributes, and what they can have done with them.
import { useQueries, useQuery } from '@tanstack/react-query'
import type { AttributeSetContent, AttributeSetVersion } from '@valise/core/attributes'
import { offeredApi } from '../offers/index.ts'

export const attributeSetApi = offeredApi<AttributeSetContent>('/api/attribute-sets', 'attributes')

/** The newest versions of all sets that one may use; undefined until they are there. */
export function useUsableSets(): readonly AttributeSetVersion[] | undefined {
  const list = useQuery(attributeSetApi.queries.list())
  const published = (list.data ?? []).filter(({ n }) => n > 0)
  const sets = useQueries({ queries: published.map(({ id }) => attributeSetApi.queries.newest(id)) })
  const isReady = list.data !== undefined && sets.every(({ isPending }) => !isPending)
  return isReady ? sets.flatMap(({ data }) => data ?? []) : undefined
}
