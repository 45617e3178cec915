import { describe, expect, it } from '@jest/globals'
import { previewProblems } from '@valise/core/evidence'
import type { Evidence, Link } from '@valise/core/evidence'
import { picture, version } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { NOW } from '../../testing/samples.ts'
import { evidenceQueries, Thumbnail } from '../base/index.ts'
import { FileCard } from './FileCard.tsx'
import { LinkPreview } from './LinkPreview.tsx'
import { TablePreview } from './TablePreview.tsx'

const show = (item: Partial<Evidence>) => ({ ...picture, ...item })
const link: Link = {
  ...{ address: 'https://tide-tables.example/harbour', siteName: 'Tide tables', description: 'For a week' },
  ...{ frame: null, state: 'there', checkedAt: NOW },
}

describe('a link', () => {
  const render = (change: Partial<Link>) =>
    renderHtml(<LinkPreview item={show({ kind: 'link', link: { ...link, ...change } })} />)

  it('says where it leads, and leads there without telling who came', () => {
    const html = render({})
    expect(html).toContain('href="https://tide-tables.example/harbour"')
    expect(html).toContain('rel="noopener noreferrer"')
    expect(inOneLine(html)).toMatch(/Tide tables.*For a week/)
  })

  it('tells dead, slow and blocked apart', () => {
    const said = (['there', 'slow', 'dead', 'blocked'] as const).map((state) => inOneLine(render({ state })))
    expect(new Set(said).size).toBe(4)
    for (const words of said) expect(words).toContain('https://tide-tables.example/harbour')
  })

  it('loads nothing of another site before it is asked to', () => {
    const frame = { kind: 'player' as const, address: 'https://films.example/7', site: 'Films' }
    const html = render({ frame })
    expect(html).not.toContain('<iframe')
    expect(html).not.toContain('films.example')
    expect(inOneLine(html)).toContain('Films')
  })
})

describe('a data table', () => {
  const item = show({ kind: 'data-table', version: { ...version, mime: 'text/csv' } })
  const render = (rows: string[][], isNumeric: boolean) =>
    renderHtml(<TablePreview item={item} />, {
      answers: [
        [
          evidenceQueries.table(item.id, 1).queryKey,
          {
            columns: [
              { name: 'Stake', isNumeric: false },
              { name: 'Cover', isNumeric },
            ],
            rows,
            count: 950,
          },
        ],
      ],
    })

  it('is read as a table with its names, and can be plotted where there are numbers', () => {
    const rows = [
      ['A', '12'],
      ['B', '30'],
    ]
    const html = render(rows, true)
    expect(html.match(/<th scope="col"/g)).toHaveLength(2)
    expect(html.match(/data-number="true"/g)).toHaveLength(2)
    expect(inOneLine(html)).toMatch(/950/)
    expect(inOneLine(html)).toContain('Plot')
    expect(inOneLine(render(rows, false))).not.toContain('Plot')
    expect(inOneLine(render(rows.slice(1), true))).not.toContain('Plot')
  })

  it('is read with script in it as words', () => {
    const html = render([['<script>alert(1)</script>', '1']], true)
    expect(html).not.toContain('<script>')
    expect(html).toContain('&lt;script&gt;')
  })
})

describe('a file that cannot be shown', () => {
  it('says its name, its size and its sort, why, and gives it out', () => {
    for (const language of ['en', 'es'] as const) {
      const said = previewProblems.map((problem) => {
        const item = show({
          kind: 'file',
          version: { ...version, fileName: 'walk.xyz', previewProblem: problem },
        })
        const html = renderHtml(<FileCard item={item} />, { language })
        expect(html).toMatch(/href="\/api\/evidence\/stake\/versions\/1\/file/)
        const words = inOneLine(html)
        expect(words).toContain('walk.xyz')
        return words
      })
      expect(new Set(said).size).toBe(previewProblems.length)
    }
  })

  it('stands in lists with a sign of its kind in place of a picture', () => {
    const thumbnail = (item: Partial<Evidence>) => renderHtml(<Thumbnail item={show(item)} />)
    expect(thumbnail({})).toContain('<img')
    const none = thumbnail({ kind: 'audio', version: { ...version, preview: 'none' } })
    expect(none).not.toContain('<img')
  })
})
