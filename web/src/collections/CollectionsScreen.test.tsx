import { describe, expect, it } from '@jest/globals'
import type { CollectionRow } from '@valise/core/collections'
import { renderHtml, wordsOf } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { CollectionsScreen } from './CollectionsScreen.tsx'
import { collectionQueries } from './queries.ts'

const row: CollectionRow = {
  ...{ id: 'year', title: 'Shore year', pages: 5, published: 3, changedAt: NOW, binnedAt: null },
}

function screen(rows: readonly Partial<CollectionRow>[], language: 'en' | 'es' = 'en') {
  const items = rows.map((change, n) => ({ ...row, id: `c${n}`, ...change }))
  const list = { pages: [{ items, next: null, count: items.length }], pageParams: [null] }
  const html = renderHtml(<CollectionsScreen />, {
    language,
    answers: [[collectionQueries.list().queryKey, list]],
  })
  return { html, words: wordsOf(html) }
}

describe('my collections', () => {
  it('say how many pages lie in each, and how many of them others can read', () => {
    const { words } = screen([{}, { pages: 1, published: 0 }, { pages: 0, published: 0 }])
    expect(words).toContain('5 pages, others can read 3')
    expect(words).toContain('1 page, others can read 0')
    expect(words).toContain('No pages yet')
    expect(words).toContain('3 collections.')
  })

  it('lead to each, also to one without a title', () => {
    const { html, words } = screen([{ title: '' }])
    expect(html).toContain('href="/collections/c0"')
    expect(words).toMatch(/Untitled collection/)
    expect(words).toContain('Changed Thu 26 Nov')
  })

  it('tell whoever has none what one is for', () => {
    expect(screen([]).words).toContain('No collections yet.')
    expect(screen([], 'es').words).not.toMatch(/collection|New/)
  })
})
