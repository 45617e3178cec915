// Guides in their newest version, whoever asks: dates and owners, for copies that go along any version.
import type { GuideContent } from '@valise/core/guides'
import type { Instant } from '@valise/core/time'
import { isOneOf } from '../database/index.ts'
import type { Reader } from '../database/index.ts'

export interface NewestGuide {
  readonly id: string
  readonly n: number
  readonly ownerId: string
  readonly publishedAt: Instant
  readonly content: GuideContent
}

/** Lists these guides, in the bin or not. The caller has checked access. */
export async function listNewest(reader: Reader, ids: readonly string[]): Promise<NewestGuide[]> {
  if (ids.length === 0) return []
  const rows: (Omit<NewestGuide, 'content'> & { content: string })[] = await reader
    .sql('offered')
    .join('offeredVersions as newest', (join) =>
      join.on('newest.offeredId', 'offered.id').andOn('newest.n', 'offered.n'),
    )
    .where({ 'offered.kind': 'guide' })
    .modify(isOneOf, 'offered.id', ids)
    .orderBy('offered.id')
    .select('offered.id', 'offered.n', 'offered.ownerId', 'newest.content', 'newest.at as publishedAt')
  return rows.map(({ content, ...row }) => ({ ...row, content: JSON.parse(content) }))
}
