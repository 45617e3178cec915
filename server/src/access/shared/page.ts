// Pages: others see what was published of them.
import type { Instant } from '@valise/core/time'
import type { SharedStore } from './SharedStore.ts'

export const page: SharedStore = {
  isPublished:
    'EXISTS (SELECT 1 FROM "pages" WHERE "pages"."id" = "things"."id" AND "pages"."published" IS NOT NULL)',

  listReadable: ({ sql }, narrow) =>
    sql('pages')
      .join('publishedPages', (join) =>
        join.on('publishedPages.pageId', 'pages.id').andOn('publishedPages.n', 'pages.published'),
      )
      .modify(narrow, 'pages.id')
      .where('pages.isBinned', 0)
      .select('pages.id', 'publishedPages.title', 'publishedPages.at as changedAt'),

  listPublications: async ({ sql }, ids) => {
    const rows: PublicationRow[] = await sql('pages')
      .join('drafts', 'drafts.id', 'pages.id')
      .whereIn('pages.id', ids)
      .select('pages.id', 'pages.publishedAt', 'pages.publishedRevision', 'drafts.revision')
    return rows.map(({ publishedRevision, revision, ...row }) => ({
      ...row,
      isNewer: (publishedRevision ?? 0) < revision,
    }))
  },
}

interface PublicationRow {
  readonly id: string
  readonly publishedAt: Instant | null
  readonly publishedRevision: number | null
  readonly revision: number
}
