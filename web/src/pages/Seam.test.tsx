import { newDocument, newTextPiece, textOf } from '@valise/core/pages'
import type { PageChange, PageDocument } from '@valise/core/pages'
import { accessQueries } from '../access/index.ts'
import { inOneLine as text, renderHtml, renderWords } from '../testing/renderWords.tsx'
import { ChangeList } from './ChangeList.tsx'
import { Seam } from './Seam.tsx'
import { PageStateProvider } from './usePageEditor.ts'
import type { PageEditorState } from './usePageEditor.ts'

const shown = { evidence: {}, entries: {} }
const documentOf = (...texts: string[]): PageDocument =>
  newDocument(
    'The creek',
    'en',
    texts.map((text, n) => ({ id: `r${n}`, pieces: [newTextPiece(`p${n}`, textOf(text))] })),
  )

function seam(draft: PageDocument, published: PageDocument | null, seers = { people: 0, links: 0 }): string {
  const page = {
    id: 'creek',
    published: published && { n: 1, at: '2026-11-21T12:00:00.000Z', document: published, shown },
  }
  // What the seam reads of an open page.
  const state = { page, draft: { document: draft }, shown } as unknown as PageEditorState
  return renderHtml(
    <PageStateProvider value={state}>
      <Seam isPreviewing={false} onPreview={() => undefined} />
    </PageStateProvider>,
    { answers: [[accessQueries.seers('creek').queryKey, seers]] },
  )
}
const publishButton = (html: string) => /<button[^>]*MuiButton-contained.*?<\/button>/s.exec(html)?.[0] ?? ''

describe('the seam', () => {
  it('says that a page was never published, and publishes none that is empty', () => {
    expect(text(seam(documentOf('silt'), null))).toContain('Not published yet')
    expect(publishButton(seam(documentOf('silt'), null))).not.toContain('disabled=""')
    expect(publishButton(seam(documentOf(), null))).toContain('disabled=""')
  })

  it('says that nothing is newer, and then has nothing to publish', () => {
    const html = seam(documentOf('silt'), documentOf('silt'))
    expect(text(html)).toContain('Published Sat 21 Nov, 12:00')
    expect(publishButton(html)).toContain('disabled=""')
    expect(html).not.toContain('See the changes')
  })

  it('has one tick for each change, fourteen at most, and says how many would be published', () => {
    const html = seam(documentOf('silt', 'sand'), documentOf('mud', 'sand'))
    expect(html.match(/<i style="left:/g)).toHaveLength(1)
    expect(text(html)).toContain('See the changes')
    expect(text(publishButton(html))).toContain('Publish 1 change')
    const many = seam(documentOf(...Array.from({ length: 30 }, (_, n) => `text ${n}`)), documentOf())
    expect(many.match(/<i style="left:/g)).toHaveLength(14)
    expect(text(publishButton(many))).toContain('Publish 30 changes')
  })

  it('counts who can see what is published', () => {
    const by = (people: number, links: number) =>
      text(seam(documentOf('silt'), documentOf('silt'), { people, links }))
    expect(by(3, 1)).toMatch(/3 people.*anyone with the link/)
    expect(by(0, 2)).toContain('2 links')
  })
})

describe('what would change', () => {
  const list = (changes: PageChange[], language: 'en' | 'es' = 'en') =>
    renderWords(<ChangeList changes={changes} />, { language })
  const piece = { pieceId: 'p', kind: 'text', row: 2, name: '', words: [] } as const

  it('is told in its own words for each kind of change, in both languages', () => {
    for (const language of ['en', 'es'] as const) {
      const said = (['added', 'removed', 'moved', 'changed'] as const).map((what) =>
        list([{ ...piece, what }], language),
      )
      said.push(list([{ what: 'row-moved', row: 2 }], language))
      expect(new Set(said).size).toBe(5)
      for (const words of said) expect(words).not.toMatch(/changes\.|kinds\.|\{\{/)
    }
  })

  it('names what has a name, and tells titles by what they were and are', () => {
    const picture = { ...piece, what: 'added', kind: 'picture', name: 'Transect map' } as const
    expect(list([picture])).toContain('Transect map')
    const html = renderHtml(<ChangeList changes={[{ what: 'title', before: 'Creek', after: '' }]} />)
    expect(html).toContain('<del>Creek</del>')
    expect(html).toMatch(/<ins>[^<]+<\/ins>/)
  })

  it('shows what came and went in full, and what stayed only around it', () => {
    const stayed = 'a'.repeat(60) + ' middle '.repeat(20) + 'z'.repeat(60)
    const words = [
      { how: 'same', words: stayed },
      { how: 'removed', words: 'mud' },
      { how: 'added', words: 'silt & <sand>' },
    ] as const
    const html = renderHtml(<ChangeList changes={[{ ...piece, what: 'changed', words }]} />)
    expect(html).toContain(`${'a'.repeat(60)} … ${'z'.repeat(60)}`)
    expect(html).not.toContain('middle')
    expect(html).toContain('<del>mud</del>')
    expect(html).toContain('<ins>silt &amp; &lt;sand&gt;</ins>')
  })
})
