import {
  countWords,
  creditsOf,
  differencePages,
  isRichText,
  lacksAlternative,
  listUntranscribed,
  newDocument,
  newEntryPiece,
  newEvidencePiece,
  newTextPiece,
  nothingShown,
  renderPage,
  textOf,
  toPlainText,
} from './index.ts'
import type { PageDocument, Piece, Shown, ShownEvidence } from './index.ts'

const id = '01890000-0000-7000-8000-000000000001'
const rowOf = (...pieces: Piece[]) => newDocument('What the creek does', 'en', [{ id: 'r', pieces }])
const item: ShownEvidence = {
  id,
  n: 2,
  kind: 'picture',
  title: 'Transect map',
  fileName: 'map.webp',
  mime: 'image/webp',
  bytes: 12_300,
  width: 800,
  height: 600,
  hasPicture: true,
  credit: null,
  rightsDeclared: true,
}
const credit = {
  title: 'Glasswort in autumn',
  maker: 'Ilse Marrow',
  source: 'https://picture-shelf.example/1',
  sourceAddress: 'https://picture-shelf.example/1',
  licence: 'cc-by-4.0' as const,
  licenceName: 'CC BY 4.0',
  licenceAddress: 'https://creativecommons.org/licenses/by/4.0/',
}
const render = (document: PageDocument, shown: Shown = nothingShown) =>
  renderPage(document, {
    shown,
    lang: document.lang,
    address: (pieceId, { name }) => `/${pieceId}/${name}`,
  })
const picture = (more: object = {}) => ({
  ...newEvidencePiece('p', { id, kind: 'picture' as const }),
  ...more,
})

describe('what is said of an item', () => {
  const page = rowOf(picture({ alternativeText: 'A sheet' }))
  const withItem = (more: object) => render(page, { evidence: { p: { ...item, ...more } }, entries: {} })

  it('stands under it as its caption, unless the piece has one of its own', () => {
    expect(withItem({ caption: 'At <low> water' })).toContain('<figcaption>At &lt;low&gt; water</figcaption>')
    const own = rowOf(picture({ caption: 'Mine' }))
    const html = render(own, { evidence: { p: { ...item, caption: 'At low water' } }, entries: {} })
    expect(html).toContain('<figcaption>Mine</figcaption>')
    expect(html).not.toContain('At low water')
  })

  it('is never left like decoration: its item’s description or its title stands for one of its own', () => {
    const plain = rowOf(picture())
    const altOf = (more: object, document = plain) =>
      /alt="([^"]*)"/.exec(render(document, { evidence: { p: { ...item, ...more } }, entries: {} }))?.[1]
    expect(altOf({ alternativeText: 'Ten stakes in a line' })).toBe('Ten stakes in a line')
    expect(altOf({})).toBe('Transect map')
    expect(altOf({ title: '' })).toBe('Picture without a description')
    expect(altOf({}, rowOf(picture({ isDecoration: true })))).toBe('')
    const shown = { evidence: { p: { ...item, alternativeText: 'Ten stakes' } }, entries: {} }
    const [piece] = plain.rows[0]?.pieces ?? []
    expect(piece && [lacksAlternative(piece), lacksAlternative(piece, shown)]).toEqual([true, false])
  })

  it('is told in writing where it is a recording, and owed until then', () => {
    const film = { ...item, kind: 'video' as const, mime: 'video/webm', fileName: 'creek.webm', title: '' }
    const document = rowOf(newEvidencePiece('p', { id, kind: 'video' as const }))
    const showing = (more: object) => ({ evidence: { p: { ...film, ...more } }, entries: {} })
    const said = showing({ transcript: 'The bank <slips>.' })
    expect(render(document, said)).toContain(
      '<details><summary>What is said</summary><p>The bank &lt;slips&gt;.</p></details>',
    )
    expect(render(document, showing({}))).not.toContain('<details>')
    expect(listUntranscribed(document, showing({}))).toEqual([{ id, title: 'creek.webm' }])
    expect(listUntranscribed(document, said)).toEqual([])
    expect(differencePages({ document, shown: showing({}) }, { document, shown: said })).toHaveLength(1)
  })

  it('is heard as a voice, with its named moments and what is said to be read', () => {
    const moments = [
      { atMs: 5000, words: 'The crust' },
      { atMs: 65_000, words: '' },
    ]
    const voice = { id: 'v', n: 1, fileName: 'v.webm', bytes: 9, transcript: 'Look here.', moments }
    const html = withItem({ voices: [voice] })
    expect(html).toContain('<audio src="/p/voice-v" controls preload="metadata" aria-label="Voice 1">')
    expect(html).toContain('<li><time>0:05</time> The crust</li></ul>')
    expect(html).not.toContain('1:05')
    expect(html).toContain('<details><summary>What is said</summary><p>Look here.</p></details>')
  })

  it('carries the credits of all pictures in a collage', () => {
    const creditsWithin = [{ ...credit, maker: 'Ines Orr' }, credit]
    expect(withItem({ kind: 'collage', creditsWithin })).toMatch(/Ines Orr[\s\S]*<li>/)
  })
})

describe('text in a piece', () => {
  const paragraph = (...content: object[]) => ({ type: 'doc', content: [{ type: 'paragraph', content }] })

  it.each<[string, object]>([
    ['words', paragraph({ type: 'text', text: 'silt', marks: [{ type: 'bold' }] })],
    [
      'a link',
      paragraph({
        type: 'text',
        text: 'silt',
        marks: [{ type: 'link', attrs: { href: 'https://a.example/' } }],
      }),
    ],
    ['an empty paragraph', { type: 'doc', content: [{ type: 'paragraph' }] }],
    ['a heading', { type: 'doc', content: [{ type: 'heading', attrs: { level: 2 } }] }],
    [
      'a list',
      {
        type: 'doc',
        content: [
          {
            type: 'orderedList',
            attrs: { start: 3, type: null },
            content: [{ type: 'listItem', content: [{ type: 'paragraph' }] }],
          },
        ],
      },
    ],
  ])('may be %s', (_, text) => expect(isRichText(text)).toBe(true))

  it.each<[string, unknown]>([
    ['no document', 'silt'],
    ['a script', { type: 'doc', content: [{ type: 'script', content: [{ type: 'text', text: 'x' }] }] }],
    ['a handler', { type: 'doc', content: [{ type: 'paragraph', attrs: { onclick: 'x' } }] }],
    ['a picture from elsewhere', paragraph({ type: 'image', attrs: { src: 'https://a.example/' } })],
    [
      'an address that runs',
      paragraph({
        type: 'text',
        text: 'x',
        marks: [{ type: 'link', attrs: { href: 'javascript:alert(1)' } }],
      }),
    ],
    [
      'an address that hides what runs',
      paragraph({
        type: 'text',
        text: 'x',
        marks: [{ type: 'link', attrs: { href: 'java\nscript:alert(1)' } }],
      }),
    ],
    ['a mark with more in it', paragraph({ type: 'text', text: 'x', marks: [{ type: 'bold', style: 'x' }] })],
    ['a heading of the page’s level', { type: 'doc', content: [{ type: 'heading', attrs: { level: 1 } }] }],
    ['a list of words', { type: 'doc', content: [{ type: 'bulletList', content: [{ type: 'paragraph' }] }] }],
    ['nothing at all', { type: 'doc', content: [] }],
    ['too much', textOf('x'.repeat(200_001))],
    ['a name every object has', { type: 'doc', content: [{ type: 'constructor' }] }],
  ])('may not be %s', (_, text) => expect(isRichText(text)).toBe(false))

  it('is counted in words as people count them', () => {
    expect(countWords(textOf('Wren’s low-marsh walk, 10 stops.', 'Año 2'))).toBe(7)
    expect(toPlainText(textOf('one', 'two'))).toBe('one\ntwo')
  })
})

describe('the renderer', () => {
  it('writes escaped text in known tags, without style or script', () => {
    const html = render(rowOf(newTextPiece('p', textOf('<script>alert("x")</script> & more'))))
    expect(html).toContain('&lt;script&gt;alert(&quot;x&quot;)&lt;/script&gt; &amp; more')
    expect(html).not.toMatch(/<script|style=|onerror/)
  })

  it('drops a link that runs, even from what was stored', () => {
    const marks = [{ type: 'link' as const, attrs: { href: 'javascript:alert(1)' } }]
    const text = {
      type: 'doc' as const,
      content: [{ type: 'paragraph', content: [{ type: 'text', text: 'silt', marks }] }],
    }
    expect(render(rowOf(newTextPiece('p', text)))).toContain('<p>silt</p>')
  })

  it('shows a picture with its alternative text, caption and size', () => {
    const html = render(rowOf(picture({ alternativeText: 'A map "of" stops', caption: 'Ten stops' })), {
      ...nothingShown,
      evidence: { p: item },
    })
    expect(html).toContain('alt="A map &quot;of&quot; stops" width="800" height="600"')
    expect(html).toContain('<figcaption>Ten stops</figcaption>')
    expect(html).toContain('src="/p/screen"')
  })

  it('says nothing for decoration, and says when a thing is gone', () => {
    const shown = { ...nothingShown, evidence: { p: item } }
    const html = render(rowOf(picture({ alternativeText: 'x', isDecoration: true })), shown)
    expect(html).toContain('alt=""')
    expect(render(rowOf(picture()))).toContain('This is not shown any more.')
  })

  it('hands out a file only where its author offers it', () => {
    const file = newEvidencePiece('p', { id, kind: 'file' as const })
    const shown = {
      ...nothingShown,
      evidence: { p: { ...item, mime: 'application/pdf', fileName: 'r.pdf' } },
    }
    expect(render(rowOf(file), shown)).toContain('href="/p/file" download="r.pdf"')
    expect(render(rowOf({ ...file, isOffered: false } as Piece), shown)).not.toContain('href')
  })

  it('ends with each credit line once, those inside entries too', () => {
    const entry = {
      id,
      title: 'At low water',
      day: '2026-11-24',
      document: newDocument('', 'en', [{ id: 'e', pieces: [picture({ id: 'q' })] }]),
    }
    const shown = {
      evidence: { p: { ...item, credit }, q: { ...item, credit } },
      entries: { [id]: entry },
    }
    const document = rowOf(picture(), newEntryPiece('e', id))
    expect(creditsOf(document, shown)).toEqual([credit])
    const html = render(document, shown)
    expect(html).toContain('by Ilse Marrow, <a href="https://creativecommons.org/licenses/by/4.0/"')
    expect(html).toContain('<h2>At low water</h2>')
    expect(html).toContain('24 November 2026')
  })

  it('speaks the language of the page', () => {
    const document = { ...rowOf(picture()), lang: 'es' as const, title: '' }
    expect(render(document)).toContain('<article class="paper" lang="es"><h1>Sin título</h1>')
  })
})

describe('the difference', () => {
  const before = {
    document: newDocument('Old', 'en', [
      { id: 'a', pieces: [newTextPiece('one', textOf('the bank is bare'))] },
      { id: 'b', pieces: [newTextPiece('two'), newTextPiece('three')] },
      { id: 'c', pieces: [picture()] },
    ]),
    shown: { ...nothingShown, evidence: { p: item } },
  }
  const [a, b, c] = before.document.rows
  if (!a || !b || !c) throw new Error('the sample has three rows')
  const changesTo = (change: Partial<PageDocument>, shown = before.shown) =>
    differencePages(before, { document: { ...before.document, ...change }, shown })

  it('is nothing between a page and itself, and everything for a new page', () => {
    expect(changesTo({})).toEqual([])
    expect(differencePages(null, before).map((change) => change.what)).toEqual(Array(4).fill('added'))
  })

  it('tells the title, and texts word by word', () => {
    const rewritten = { ...a, pieces: [newTextPiece('one', textOf('the bank is grown'))] }
    expect(changesTo({ title: 'New', rows: [rewritten, b, c] })).toEqual([
      { what: 'title', before: 'Old', after: 'New' },
      {
        what: 'changed',
        pieceId: 'one',
        kind: 'text',
        row: 1,
        name: '',
        words: [
          { how: 'same', words: 'the bank is ' },
          { how: 'removed', words: 'bare' },
          { how: 'added', words: 'grown' },
        ],
      },
    ])
  })

  it('tells what came, went and moved, each once', () => {
    expect(changesTo({ rows: [c, a, b] })).toEqual([{ what: 'row-moved', row: 1 }])
    const swapped = { ...b, pieces: [...b.pieces].reverse() }
    expect(changesTo({ rows: [a, swapped, c] })).toMatchObject([{ what: 'moved', row: 2 }])
    expect(changesTo({ rows: [a, b] })).toMatchObject([
      { what: 'removed', kind: 'picture', name: 'Transect map' },
    ])
    const added = { id: 'd', pieces: [newTextPiece('four', textOf('silt'))] }
    expect(changesTo({ rows: [a, b, c, added] })).toMatchObject([
      { what: 'added', row: 4, words: [{ how: 'added', words: 'silt' }] },
    ])
  })

  it('tells that a followed item has a new version, and not that it is now held at the one it showed', () => {
    const shown = { ...nothingShown, evidence: { p: { ...item, n: 3 } } }
    expect(changesTo({}, shown)).toMatchObject([{ what: 'changed', kind: 'picture' }])
    expect(changesTo({ rows: [a, b, { ...c, pieces: [picture({ version: 2 }) as Piece] }] })).toEqual([])
  })
})
