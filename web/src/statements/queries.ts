// What the screens know of what is said of items.
import { queryOptions } from '@tanstack/react-query'
import type { ItemStatement, NewStatement } from '@valise/core/statements'
import { ask } from '../api/index.ts'

export const statementQueries = {
  /** What is said of an item, to go on writing it. Whoever asks first begins it, and whoever asks again has the same. */
  begun: (id: string, { lang }: NewStatement) =>
    queryOptions({
      queryKey: statementsKey(id),
      meta: { follows: ['bin'] },
      queryFn: ({ signal }) => ask<ItemStatement>('POST', statementPath(id), { body: { lang }, signal }),
      staleTime: 0,
    }),
}

export const statementsKey = (id: string) => ['statements', id] as const

export function statementPath(id: string): string {
  return `/api/evidence/${id}/statement`
}
