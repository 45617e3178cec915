import { describe, expect, it } from '@jest/globals'
import type { PageRow } from '@valise/core/pages'
import { renderHtml, wordsOf } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { PagesScreen } from './PagesScreen.tsx'
import { pageQueries } from './queries.ts'

const row: PageRow = {
  ...{ id: 'creek', title: 'What the creek does', changedAt: NOW, binnedAt: null },
  ...{ publishedAt: '2026-11-21T12:00:00.000Z', isNewer: false },
}

function screen(rows: readonly Partial<PageRow>[], language: 'en' | 'es' = 'en', next: string | null = null) {
  const items = rows.map((change, n) => ({ ...row, id: `p${n}`, ...change }))
  const pages = [{ items, next, count: next === null ? items.length : 90 }]
  const list = { pages, pageParams: [null] }
  const html = renderHtml(<PagesScreen />, {
    language,
    answers: [[pageQueries.list().queryKey, list]],
  })
  return { html, words: wordsOf(html) }
}

describe('my pages', () => {
  it('say how firmly each is held: drafts stitched, published solid, newer drafts both', () => {
    const { html, words } = screen([{ publishedAt: null }, {}, { isNewer: true }])
    expect([...html.matchAll(/data-held="(\w+)"/g)].map(([, held]) => held)).toEqual([
      'stitched',
      'solid',
      'both',
    ])
    expect(words).toContain('Draft, only you see it')
    expect(words).toContain('Published 21 Nov')
    expect(words).toContain('Published 21 Nov, changed since')
  })

  it('are counted as a whole, also where more are to come', () => {
    expect(screen([{}]).words).toContain('1 page.')
    const { words } = screen([{}, {}], 'en', 'more')
    expect(words).toContain('90 pages.')
    expect(words).toContain('Show more')
    expect(screen([{}, {}]).words).not.toContain('Show more')
  })

  it('lead to each, also to one that has no title yet', () => {
    const { html, words } = screen([{ title: '' }])
    expect(html).toContain('href="/pages/p0"')
    expect(words).toContain('Untitled page')
  })

  it('tell whoever has none how to begin', () => {
    expect(screen([]).words).toMatch(/No pages yet\.|no pages yet/i)
    expect(screen([]).words).toContain('New page')
    expect(screen([], 'es').words).not.toMatch(/page|New/)
  })
})
