// What only the server knows of a draft, fetched anew whenever others wrote: the texts that lost, and what is shown.
import { hashKey, useQueryClient } from '@tanstack/react-query'
import type { QueryKey } from '@tanstack/react-query'
import { useEffect } from 'react'

/**
 * @param queryKey of the query that the draft came with
 * @param fromElsewhere see `DraftState`
 */
export function useFreshDraft(queryKey: QueryKey, fromElsewhere: number): void {
  const client = useQueryClient()
  const hash = hashKey(queryKey)
  useEffect(() => {
    if (fromElsewhere > 0) void client.invalidateQueries({ predicate: ({ queryHash }) => queryHash === hash })
  }, [client, hash, fromElsewhere])
}
