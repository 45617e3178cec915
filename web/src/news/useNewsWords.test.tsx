import { newsKinds } from '@valise/core/news'
import type { NewsItem, NewsKind, NewsParams } from '@valise/core/news'
import { anyNews } from '@valise/core/news/testing'
import { classRoles } from '@valise/core/people'
import fc from 'fast-check'
import { renderWords } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { useNewsWords } from './useNewsWords.ts'
import { newsWordsOf } from './wordsByKind.ts'

function Sentence({ item }: { readonly item: NewsItem }) {
  const words = useNewsWords()
  return <p>{words(item)}</p>
}

const title = { en: 'Transect portfolio', es: 'Portafolio del transecto' }
const about = { submissionId: 's', assignmentId: 'a', title, by: 'Odalys Fenn' }
const sayItem = (item: NewsItem, language: 'en' | 'es' = 'en') =>
  renderWords(<Sentence item={item} />, { language })
const say = <K extends NewsKind>(kind: K, params: NewsParams<K>, language: 'en' | 'es' = 'en') =>
  sayItem({ id: 'n', kind, at: NOW, seen: false, params } as unknown as NewsItem, language)

describe('news', () => {
  it.each(['en', 'es'] as const)('have a sentence for everything that can happen (%s)', (language) => {
    const said = newsKinds.map((kind) => {
      const [item] = fc.sample(anyNews(kind), { seed: 8, numRuns: 1 })
      if (!item) throw new Error('there is no sample')
      expect(newsWordsOf(kind).linkTo(item.params) ?? '/').toMatch(/^\/[a-z0-9/-]*$/)
      return sayItem(item, language)
    })
    expect(new Set(said).size).toBe(newsKinds.length)
    for (const sentence of said) {
      expect(sentence).toMatch(/\.$/)
      expect(sentence).not.toMatch(/news\.|\{\{|undefined/)
    }
  })

  it('tell of assignments by the title in the reader’s language', () => {
    expect(say('work-accepted', about)).toBe('Odalys Fenn accepted Transect portfolio.')
    expect(say('copy-sealed', { ...about, number: 'MB-0412' })).toBe(
      'You handed in Transect portfolio. The number on your receipt is MB-0412.',
    )
    expect(say('work-accepted', about, 'es')).toContain('Portafolio del transecto')
  })

  it('fall back to the other language where a title was written in one alone', () => {
    expect(say('copy-opened', { ...about, title: { en: 'Storm week' } }, 'es')).toContain('Storm week')
  })

  it('tell the roles in a class apart, and pages from collections', () => {
    const joined = classRoles.map((role) => say('joined-class', { className: 'Shore Methods', role }))
    expect(new Set(joined).size).toBe(classRoles.length)
    const shared = { name: 'Tomasz', thingId: 't' }
    expect(say('shared-with-me', { ...shared, kind: 'page' })).toBe('Tomasz shared a page with you.')
    expect(say('shared-with-me', { ...shared, kind: 'collection' })).toBe(
      'Tomasz shared a collection with you.',
    )
  })
})
