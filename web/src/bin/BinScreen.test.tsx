import { describe, expect, it } from '@jest/globals'
import type { BinnedThing } from '@valise/core/bin'
import { thingKinds } from '@valise/core/things'
import { rowOf } from '../testing/evidenceSamples.ts'
import { renderHtml, wordsOf } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { uiByKind } from '../things/index.ts'
import { BinScreen } from './BinScreen.tsx'
import { binQueries } from './queries.ts'

const thing = (kind: BinnedThing['kind'], more: Partial<BinnedThing> = {}): BinnedThing => ({
  ...{ kind, id: kind, title: '', binnedAt: NOW, item: null },
  ...more,
})
const item = rowOf({ binnedAt: NOW })
const picture = thing('evidence', { id: item.id, title: item.title, item })

function bin(items: readonly BinnedThing[], language: 'en' | 'es' = 'en') {
  const list = { pages: [{ items, next: null, count: items.length }], pageParams: [null] }
  const html = renderHtml(<BinScreen />, { language, answers: [[binQueries.list().queryKey, list]] })
  return { html, words: wordsOf(html) }
}

describe('the bin', () => {
  it('says until when each thing stays, with the way back and the way out', () => {
    const { html, words } = bin([picture])
    expect(words).toContain('1 thing in the bin')
    expect(words).toContain('Here until 26 Dec')
    expect(html).toContain('aria-label="Take it out: Stake 2, visit 1"')
    expect(html).toContain('aria-label="Remove for good: Stake 2, visit 1"')
  })

  it.each(['en', 'es'] as const)('names things of every kind by what they are (%s)', (language) => {
    const { words } = bin(
      thingKinds.map((kind) => thing(kind)),
      language,
    )
    for (const kind of thingKinds) {
      const { untitled, name } = uiByKind[kind].words[language]
      expect(words).toMatch(new RegExp(`${untitled}\\s*${name}`))
    }
  })

  it('shows evidence by its picture, and other things by their titles', () => {
    const { html, words } = bin([picture, thing('collection', { title: 'Two winters' })])
    expect(words).toContain('2 things in the bin')
    expect(html).toContain('<img')
    expect(words).toMatch(/Two winters\s*Collection\s*Here until 26 Dec/)
  })

  it('says what it is for, where it is empty, and only then', () => {
    expect(bin([]).words).toContain('The bin is empty')
    expect(bin([]).words).toContain('stays here for 30 days')
    expect(bin([thing('page', { title: 'Tides' })]).words).not.toContain('stays here for 30 days')
    expect(bin([picture], 'es').words).not.toMatch(/bin|until|good/)
  })
})
