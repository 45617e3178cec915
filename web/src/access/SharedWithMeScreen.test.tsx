import type { ThingSharedWithMe } from '@valise/core/access'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { NOW } from '../testing/samples.ts'
import { SharedWithMeScreen } from './SharedWithMeScreen.tsx'
import { accessQueries } from './queries.ts'

const opened: ThingSharedWithMe = {
  ...{
    thing: { kind: 'page', id: 'creek' },
    title: 'The creek',
    ownerName: 'Tomasz Ilves-Barr',
    pages: null,
  },
  ...{
    changedAt: NOW,
    openedAt: '2026-11-01T12:00:00.000Z',
    until: null,
    audience: 'person',
    className: null,
  },
}
const around = (items: readonly Partial<ThingSharedWithMe>[]) => {
  const rows = items.map((change) => ({ ...opened, ...change }))
  const pages = [{ items: rows, next: null, count: rows.length }]
  return { answers: [[accessQueries.opened().queryKey, { pages, pageParams: [null] }]] as const }
}
const words = (...items: readonly Partial<ThingSharedWithMe>[]) =>
  renderWords(<SharedWithMeScreen />, around(items))

describe('what others opened', () => {
  it('says what it is, whose, and for whom until when', () => {
    expect(words({})).toMatch(/The creek[\s\S]*Tomasz Ilves-Barr[\s\S]*with you, since 1 Nov/)
    expect(words({ until: '2026-12-13T00:00:00.000Z' })).toContain('with you, until 12 Dec')
  })

  it('says through which class it was opened, as a student and as an assessor', () => {
    const className = 'Shore Methods'
    const said = (['class', 'assessors'] as const).map((audience) => words({ audience, className }))
    expect(said[0]).not.toBe(said[1])
    for (const one of said) expect(one).toContain('Shore Methods')
  })

  it('leads to where it is read, and names what has no title', () => {
    const html = renderHtml(
      <SharedWithMeScreen />,
      around([{ thing: { kind: 'collection', id: 'year' }, title: '', pages: 5 }]),
    )
    expect(html).toContain('href="/collections/year"')
    expect(html).not.toMatch(/href="\/collections\/year"[^>]*><\/a>/)
    expect(html).toContain('5 pages')
  })

  it('says so when nobody has opened anything', () => {
    expect(words()).toMatch(/will stand here|yet/)
  })
})
