// A logbook on a page: which entries it shows, in which order, and what its readers see of a change.
import { describe, expect, it } from '@jest/globals'
import {
  differencePages,
  isShown,
  logbookIdsOf,
  logbookReferences,
  newDocument,
  newLogbookPiece,
  newTextPiece,
  piecesShown,
  renderPage,
  textOf,
  withhold,
} from '../../index.ts'
import type { PageDocument, PieceOf, Shown } from '../../index.ts'

const entry = (id: string, title: string, words: string) => ({
  ...{ id, title, day: '2026-11-02' },
  document: newDocument(title, 'en', [{ id: 'words', pieces: [newTextPiece(`${id}-text`, textOf(words))] }]),
})
const entries = { a: entry('a', 'Visit <1>', 'The gate was frozen'), b: entry('b', '', 'Silt again') }

function pageWith(piece: PieceOf<'logbook'>): { document: PageDocument; shown: Shown } {
  const document = newDocument('Page', 'en', [{ id: 'r', pieces: [piece] }])
  const [reference] = logbookReferences(document)
  const logbooks = { [reference?.key ?? '']: { id: 'book', title: 'One stake', entryIds: ['b', 'a'] } }
  return { document, shown: { evidence: {}, entries, logbooks } }
}

const html = ({ document, shown }: ReturnType<typeof pageWith>) =>
  renderPage(document, { shown, lang: 'en', address: () => '' })

const piece = newLogbookPiece('p', 'book')

describe('a logbook on a page', () => {
  it('shows its entries in order, each to be opened in place, with its day', () => {
    const shown = html(pageWith(piece))
    expect(shown).toContain('<h2>One stake</h2><details class="entry"><summary>Untitled')
    expect(shown).toMatch(/Silt again.*<summary>Visit &lt;1&gt; .*2 November 2026.*The gate was frozen/)
    expect(html(pageWith({ ...piece, showsDays: false }))).not.toContain('November')
  })

  it('says that there is nothing yet, or that it is gone', () => {
    const page = pageWith(piece)
    const [key = ''] = Object.keys(page.shown.logbooks ?? {})
    const none = { [key]: { id: 'book', title: 'One stake', entryIds: [] } }
    expect(html({ ...page, shown: { ...page.shown, logbooks: none } })).toContain('No entries yet.')
    expect(html({ ...page, shown: withhold(page.shown, new Set(['book'])) })).toContain('not shown any more')
    const without = html({ ...page, shown: withhold(page.shown, new Set(['a'])) })
    expect(without).not.toContain('The gate was frozen')
    expect(without).toContain('Silt again')
  })

  it('counts what its entries show as shown', () => {
    const { document, shown } = pageWith(piece)
    expect(piecesShown(document, shown).map(({ id }) => id)).toEqual(['p', 'b-text', 'a-text'])
    expect(logbookIdsOf(document)).toEqual(['book'])
  })

  it('asks anew for what it shows when other entries are chosen', () => {
    const { shown } = pageWith(piece)
    expect(isShown(piece, shown)).toBe(true)
    for (const change of [
      { most: 3 },
      { tag: 'Storm' },
      { order: 'oldest' as const },
      { from: '2026-11-01' },
    ])
      expect(isShown({ ...piece, ...change }, shown)).toBe(false)
  })

  it('has changed for readers when one of its entries has', () => {
    const before = pageWith(piece)
    expect(differencePages(before, before)).toEqual([])
    const after = {
      ...before,
      shown: { ...before.shown, entries: { ...entries, a: entry('a', 'Visit 1', 'Thawed') } },
    }
    expect(differencePages(before, after)).toMatchObject([
      { what: 'changed', pieceId: 'p', name: 'One stake' },
    ])
  })
})
