// Collections: they have no draft, so others see them as they stand.
import type { SharedStore } from './SharedStore.ts'

export const collection: SharedStore = {
  isPublished: '1 = 1',

  listReadable: ({ sql }, ids) =>
    sql('things')
      .whereIn('id', ids)
      .where({ kind: 'collection', isBinned: 0 })
      .select('id', 'title', 'changedAt'),

  listPublications: async () => [],
}
