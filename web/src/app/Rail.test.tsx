import { renderHtml, wren } from '../testing/renderWords.tsx'
import { setPlace } from '../ui/place.ts'
import { countQuery } from './queries.ts'
import { Rail } from './Rail.tsx'

// The name of a place goes into the window's title as well.
beforeAll(() => Object.assign(globalThis, { document: { title: '' } }))
afterAll(() => Reflect.deleteProperty(globalThis, 'document'))
beforeEach(() => setPlace({ name: '', parent: '' }))

const rail = (path: string, session = wren) =>
  renderHtml(<Rail />, { path, session, answers: [[countQuery('pages').queryKey, 14]] })
const here = (html: string) =>
  [...html.matchAll(/<a[^>]*aria-current="page"[^>]*>.*?<\/a>/gs)].map(([link]) =>
    link.replace(/<[^>]+>/g, '').replace(/,? ?\d.*$/, ''),
  )

describe('the rail', () => {
  it('marks the place whose address one is at, or below', () => {
    expect(here(rail('/'))).toEqual(['Today'])
    expect(here(rail('/pages'))).toEqual(['Pages'])
    expect(here(rail('/pages/creek/the-creek'))).toEqual(['Pages'])
    expect(here(rail('/classes/methods'))).toEqual(['Class'])
  })

  it('marks the place that a screen says it belongs to, where its address does not', () => {
    setPlace({ name: 'Hand in', parent: 'Transect portfolio', within: 'submissions' })
    expect(here(rail('/assignments/transect'))).toEqual(['Submissions'])
    setPlace({ name: 'Low water', parent: 'Transect 3', within: 'logbooks' })
    expect(here(rail('/entries/e1'))).toEqual(['Logbooks'])
  })

  it('marks what others opened as such, though its address is that of a page', () => {
    setPlace({ name: 'The creek', parent: 'Shared with me', within: 'opened' })
    expect(here(rail('/pages/creek'))).toEqual(['Shared with me'])
  })

  it('marks nothing where one is nowhere in it', () => {
    expect(here(rail('/settings'))).toEqual([])
  })

  it('counts the things of a place, and says so to who only hears it', () => {
    expect(rail('/')).toMatch(/Pages.*?14.*? things/s)
  })
})
