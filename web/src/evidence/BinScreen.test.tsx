import { describe, expect, it } from '@jest/globals'
import type { EvidenceRow } from '@valise/core/evidence'
import { collectionQueries } from '../collections/queries.ts'
import { pageQueries } from '../pages/queries.ts'
import { reflectionQueries } from '../reflections/queries.ts'
import { rowOf } from '../testing/evidenceSamples.ts'
import { renderHtml, wordsOf } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { BinScreen } from './BinScreen.tsx'
import { evidenceQueries } from './queries.ts'

const listOf = <T,>(items: readonly T[]) => ({
  pages: [{ items, next: null, count: items.length }],
  pageParams: [null],
})

interface Binned {
  readonly items?: readonly EvidenceRow[]
  readonly pages?: readonly object[]
  readonly collections?: readonly object[]
}

function bin({ items = [], pages = [], collections = [] }: Binned, language: 'en' | 'es' = 'en') {
  const html = renderHtml(<BinScreen />, {
    language,
    answers: [
      [evidenceQueries.bin().queryKey, listOf(items)],
      [pageQueries.list('bin').queryKey, listOf(pages)],
      [reflectionQueries.entries({ logbookId: null, shelf: 'bin' }).queryKey, listOf([])],
      [collectionQueries.list('bin').queryKey, listOf(collections)],
    ],
  })
  return { html, words: wordsOf(html) }
}

describe('the bin', () => {
  it('says until when each thing stays, with the way back and the way out', () => {
    const { html, words } = bin({ items: [rowOf({ binnedAt: NOW })] })
    expect(words).toContain('1 thing in the bin')
    expect(words).toContain('Here until 26 Dec')
    expect(html).toContain('aria-label="Take it out: Stake 2, visit 1"')
    expect(html).toContain('aria-label="Remove for good: Stake 2, visit 1"')
  })

  it('counts pages and collections with the evidence, and names each by what it is', () => {
    const page = { id: 'p', title: '', binnedAt: NOW, changedAt: NOW, publishedAt: null, isNewer: false }
    const collection = {
      id: 'c',
      title: 'Two winters',
      binnedAt: NOW,
      changedAt: NOW,
      pages: 0,
      published: 0,
    }
    const { words } = bin({ items: [rowOf({ binnedAt: NOW })], pages: [page], collections: [collection] })
    expect(words).toContain('3 things in the bin')
    expect(words).toMatch(/An untitled page\s*Page, Here until 26 Dec/)
    expect(words).toMatch(/Two winters\s*Collection, Here until 26 Dec/)
  })

  it('says what it is for, where it is empty, and only then', () => {
    expect(bin({}).words).toContain('The bin is empty')
    expect(bin({}).words).toContain('stays here for 30 days')
    const page = { id: 'p', title: 'Tides', binnedAt: NOW, changedAt: NOW, publishedAt: null, isNewer: false }
    expect(bin({ pages: [page] }).words).not.toContain('stays here for 30 days')
    expect(bin({ items: [rowOf({ binnedAt: NOW })] }, 'es').words).not.toMatch(/bin|until|good/)
  })
})
