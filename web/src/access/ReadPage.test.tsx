import type { ReadCollection as Collection, ReadPage as Page } from '@valise/core/access'
import { inOneLine as text, renderHtml } from '../testing/renderWords.tsx'
import { accessQueries } from './queries.ts'
import { ReadCollection } from './ReadCollection.tsx'
import { ReadPage } from './ReadPage.tsx'

const page: Page = {
  ...{ id: 'p2', n: 1, at: '2026-11-21T12:00:00.000Z', title: 'The creek', lang: 'en', isMine: false },
  html: '<article class="paper"><h1>The creek</h1></article>',
  ...{ ownerName: 'Wren Adeyemi-Holt', linkName: null, collections: [] },
}
const line = (id: string, title: string, kind: 'page' | 'divider' | 'collection' = 'page', depth = 0) => ({
  ...{ id, title, kind, depth },
})
const collection: Collection = {
  ...{ id: 'year', title: 'Shore year', ownerName: 'Wren Adeyemi-Holt', isMine: false, linkName: null },
  lines: [
    line('d', 'By the water', 'divider'),
    line('p1', 'First light'),
    line('p2', 'The creek'),
    line('further', 'Further out', 'collection'),
    line('p3', '', 'page', 1),
  ],
}

const readPage = (change: Partial<Page> = {}, path = '/pages/p2?in=year', language: 'en' | 'es' = 'en') =>
  renderHtml(<ReadPage id="p2" />, {
    ...{ path, language },
    answers: [
      [accessQueries.page('p2').queryKey, { ...page, ...change }],
      [accessQueries.collection('year').queryKey, collection],
    ],
  })

describe('a page as its reader meets it', () => {
  it('is what was published, by whom and when', () => {
    const html = readPage()
    expect(html).toContain(page.html)
    expect(text(html)).toContain('By Wren Adeyemi-Holt, 21 Nov')
  })

  it('says for whom it is open: for me, for whoever holds the link, or as others read mine', () => {
    expect(text(readPage())).toContain('The creek, shared with you')
    expect(text(readPage({ linkName: 'Aunt Pilar' }))).toContain('The creek, shared with Aunt Pilar')
    const mine = readPage({ isMine: true })
    expect(text(mine)).toContain('as others see it')
    expect(mine).toContain('href="/pages/p2"')
    expect(readPage()).not.toContain('Go on with it')
  })

  it('takes titles and names as plain text, whatever signs are in them', () => {
    const html = readPage({ title: '<b>Creek</b> & co', linkName: '<quiet>Pilar</quiet>' })
    expect(html).toContain('&lt;b&gt;Creek&lt;/b&gt; &amp; co')
    expect(html).not.toContain('<b>Creek</b>')
  })

  it('leads to the page before and the next one of the collection that it is read in', () => {
    const html = readPage({ collections: ['year'] })
    expect(text(html)).toContain('Next, page 2 of 3')
    expect(html).toContain('aria-label="Previous page: First light"')
    expect(html).toContain('href="/pages/p1?in=year"')
    expect(html).toContain('href="/pages/p3?in=year"')
  })

  it('leads nowhere where its reader may not look at the collection that the address names', () => {
    expect(text(readPage({ collections: [] }))).not.toContain('Page 2 of 3')
  })

  it('speaks the reader’s language around the author’s words', () => {
    const words = text(readPage({ collections: ['year'] }, undefined, 'es'))
    expect(words).toContain('The creek')
    expect(words).not.toMatch(/bar\.|opened to|Page 2|By Wren/)
  })
})

describe('a collection as its reader meets it', () => {
  const read = (change: Partial<Collection> = {}) =>
    renderHtml(<ReadCollection id="year" />, {
      answers: [[accessQueries.collection('year').queryKey, { ...collection, ...change }]],
    })

  it('begins with its first page, and counts what there is to read', () => {
    const html = read()
    expect(html).toMatch(/href="\/pages\/p1\?in=year"[^>]*>[\s\S]*?Start reading/)
    expect(text(html)).toContain('3 pages')
    expect(text(html)).toContain('By Wren Adeyemi-Holt')
  })

  it('shows dividers and nested collections as headings, with lists of their pages under them', () => {
    const html = read()
    expect(html).toMatch(/role="heading" aria-level="2">By the water<\/div><ol[^>]*><li data-kind="page">/)
    expect(html).toMatch(/role="heading" aria-level="3">Further out<\/div><ol[^>]*><li data-kind="page">/)
    expect(html).not.toMatch(/<a[^>]*><\/a>/)
  })

  it('says kindly that nothing is there to read just now', () => {
    const html = read({ lines: [line('d', 'By the water', 'divider')] })
    expect(text(html)).toContain('Nothing to read here just now.')
    expect(html).not.toContain('Start reading')
  })
})
