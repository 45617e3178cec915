import { describe, expect, it } from '@jest/globals'
import { everything } from '@valise/core/evidence'
import type { EvidenceQuery } from '@valise/core/evidence'
import { counts } from '../../testing/evidenceSamples.ts'
import { inOneLine, renderHtml } from '../../testing/renderWords.tsx'
import { MarkToggles } from './MarkToggles.tsx'
import { KindChoices } from './KindClause.tsx'
import { QuerySentence } from './QuerySentence.tsx'
import { toSearch } from './useEvidenceQuery.ts'
import { WeekRibbon } from './WeekRibbon.tsx'

const nothing = () => undefined
const sentence = (change: Partial<EvidenceQuery>, language: 'en' | 'es' = 'en') =>
  inOneLine(
    renderHtml(<QuerySentence query={{ ...everything, ...change }} counts={counts} onChange={nothing} />, {
      language,
    }),
  )
    .replace(/ ([,.])/g, '$1')
    .trim()

describe('the query as a sentence', () => {
  it('says all that the query asks, and nothing twice', () => {
    const asked: Partial<EvidenceQuery> = {
      ...{ words: 'low water', kinds: ['picture', 'audio'], tags: ['Transect'] },
      ...{ from: '2026-09-01', until: '2026-10-31' },
    }
    for (const language of ['en', 'es'] as const) {
      const said = sentence(asked, language)
      expect(said).toContain(language === 'en' ? '“low water”' : '«low water»')
      expect(said).toContain('Transect')
      expect(said.match(/Transect/g)).toHaveLength(1)
      expect(said).not.toContain('<')
    }
    const said = sentence(asked)
    expect(said).toMatch(/1 Sept?.*31 Oct/)
    expect(said).toContain(' or ')
  })

  it('changes with each part of it', () => {
    const parts: Partial<EvidenceQuery>[] = [
      {},
      { kinds: ['picture'] },
      { tags: ['Birds'] },
      { tags: ['Birds', 'Water'], tagged: 'any' },
      { tags: ['Birds', 'Water'], tagged: 'all' },
      { from: '2026-09-01' },
      { until: '2026-09-01' },
      { from: '2026-09-01', until: '2026-09-01' },
      { order: 'title' },
      { order: 'oldest' },
      { order: 'arrived' },
    ]
    for (const language of ['en', 'es'] as const) {
      const said = parts.map((clause) => sentence(clause, language))
      expect(new Set(said).size).toBe(parts.length)
    }
  })
})

describe('what stands beside it', () => {
  it('counts what each mark would leave, and says which are on', () => {
    const html = renderHtml(
      <MarkToggles query={{ ...everything, marks: ['no-rights'] }} counts={counts} onChange={nothing} />,
    )
    const toggles = [...html.matchAll(/aria-pressed="(\w+)".*?<b>(.*?)<\/b>/g)]
    expect(toggles.map(([, isOn, count]) => [isOn, count])).toEqual([
      ['false', '7'],
      ['true', '2'],
      ['false', '5'],
      ['false', '4'],
      ['false', '0'],
    ])
    const like = { ...everything, likeId: 'stake' }
    const more = renderHtml(<MarkToggles query={like} counts={undefined} onChange={nothing} />)
    expect(more.match(/aria-pressed="true"/g)).toHaveLength(1)
  })

  it('names every kind, those of which there are none too', () => {
    const words = inOneLine(
      renderHtml(<KindChoices kinds={['audio']} counts={counts.kinds} onChange={nothing} />),
    )
    expect(words).toMatch(/Pictures? 9/)
    expect(words).toMatch(/ 0 /)
  })

  it('shows weeks as bars, and the stretch that is chosen with two handles', () => {
    const ribbon = (from: string | null, until: string | null) =>
      renderHtml(<WeekRibbon weeks={counts.weeks} from={from} until={until} onChange={nothing} />)
    const all = ribbon(null, null)
    expect(all.match(/data-chosen="true"/g)).toHaveLength(3)
    expect(all.match(/role="slider"/g)).toHaveLength(2)
    expect(all).toContain('height:100%')
    expect(all).toContain('height:20%')
    expect(all).toContain('height:0%')
    const last = ribbon('2026-11-23', null)
    expect(last.match(/data-chosen="true"/g)).toHaveLength(1)
    expect(last).toMatch(/aria-valuenow="2" aria-valuetext="[^"]*23 Nov/)
    expect(last).toMatch(/aria-valuenow="2" aria-valuetext="[^"]*29 Nov/)
    // One week alone has nothing to narrow.
    const one = <WeekRibbon weeks={counts.weeks.slice(2)} from={null} until={null} onChange={nothing} />
    expect(renderHtml(one)).toBe('')
  })

  it('stands in the address, with the view unless it is the usual one', () => {
    const query: EvidenceQuery = { ...everything, words: 'low water', kinds: ['picture'], marks: ['unused'] }
    expect(toSearch(everything).toString()).toBe('')
    expect(Object.fromEntries(toSearch(query, 'time'))).toEqual({
      words: 'low water',
      kind: 'picture',
      only: 'unused',
      view: 'time',
    })
  })
})
