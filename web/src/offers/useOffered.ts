// Something that is offered and saves itself while it is written.
import { useQueryClient } from '@tanstack/react-query'
import type { OfferedContent, OwnOffered } from '@valise/core/offers'
import { useMemo } from 'react'
import { useDocument } from '../saving/index.ts'
import type { OfferedApi } from './offeredApi.ts'
import { OfferedStore } from './OfferedStore.ts'

/**
 * @param merge merges what two windows made of one base
 */
export function useOffered<C extends OfferedContent>(
  api: OfferedApi<C>,
  own: OwnOffered<C>,
  merge: (base: C, mine: C, theirs: C) => C,
) {
  const client = useQueryClient()
  const { content, revision, id } = own
  const saved = useMemo(() => ({ document: content, revision }), [content, revision])
  return useDocument<C, OfferedStore<C>>(saved, () => new OfferedStore(client, { api, id, merge }))
}
