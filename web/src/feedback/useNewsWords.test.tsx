import { newsKinds } from '@valise/core/feedback'
import type { NewsItem } from '@valise/core/feedback'
import { classRoles } from '@valise/core/people'
import { renderWords } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { useNewsWords } from './useNewsWords.ts'

function Sentence({ item }: { readonly item: NewsItem }) {
  const words = useNewsWords()
  return <p>{words(item)}</p>
}

const params = {
  className: 'Shore Methods',
  name: JSON.stringify({ en: 'Transect portfolio', es: 'Portafolio del transecto' }),
  number: 'MB-0412',
  by: 'Odalys Fenn',
}
const say = (kind: NewsItem['kind'], change: Record<string, string> = {}, language: 'en' | 'es' = 'en') =>
  renderWords(<Sentence item={{ id: 'n', kind, at: NOW, seen: false, params: { ...params, ...change } }} />, {
    language,
  })

describe('news', () => {
  it.each(['en', 'es'] as const)('have a sentence for everything that can happen (%s)', (language) => {
    const said = newsKinds.map((kind) => say(kind, {}, language))
    expect(new Set(said).size).toBe(newsKinds.length)
    for (const sentence of said) {
      expect(sentence).toMatch(/\.$/)
      expect(sentence).not.toMatch(/news\.|\{\{|undefined/)
    }
  })

  it('tell of assignments by the title in the reader’s language', () => {
    expect(say('work-accepted')).toBe('Odalys Fenn accepted Transect portfolio.')
    expect(say('copy-sealed')).toBe(
      'You handed in Transect portfolio. The number on your receipt is MB-0412.',
    )
    expect(say('work-accepted', {}, 'es')).toContain('Portafolio del transecto')
  })

  it('fall back to the other language where a title was written in one alone', () => {
    const name = JSON.stringify({ en: 'Storm week' })
    expect(say('copy-opened', { name }, 'es')).toContain('Storm week')
  })

  it('tell the roles in a class apart, and pages from collections', () => {
    const joined = classRoles.map((role) => say('joined-class', { role }))
    expect(new Set(joined).size).toBe(classRoles.length)
    expect(say('shared-with-me', { kind: 'page', name: 'Tomasz' })).toBe('Tomasz shared a page with you.')
    expect(say('shared-with-me', { kind: 'collection', name: 'Tomasz' })).toBe(
      'Tomasz shared a collection with you.',
    )
  })
})
