// Collections: they have no draft, so others see them as they stand.
import type { SharedStore } from './SharedStore.ts'

export const collection: SharedStore = {
  isPublished: '1 = 1',

  listReadable: ({ sql }, narrow) =>
    sql('things')
      .modify(narrow, 'id')
      .where({ kind: 'collection', isBinned: 0 })
      .select('id', 'title', 'changedAt'),

  listPublications: async () => [],
}
