// Random news of every kind on the list.
import fc from 'fast-check'
import { valuesOf } from '../../testing/index.ts'
import { newsParams } from '../newsParams.ts'
import type { NewsKind } from '../newsParams.ts'
import type { NewsItem } from '../schema.ts'

/** News of one kind. */
export function anyNews(kind: NewsKind): fc.Arbitrary<NewsItem> {
  const params: fc.Arbitrary<NewsItem['params']> = valuesOf<(typeof newsParams)[NewsKind]>(newsParams[kind])
  return (
    fc
      .record({ id: fc.uuid(), at: fc.constant('2026-11-26T10:42:00.000Z'), seen: fc.boolean(), params })
      // Both are of the same kind, which the compiler does not follow.
      .map((news) => ({ ...news, kind }) as NewsItem)
  )
}
