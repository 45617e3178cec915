import type { Audiences, Pass, Sharing, SharingRow, ThingAnswer } from '@valise/core/access'
import type { UseQueryResult } from '@tanstack/react-query'
import type { LookAs } from '@valise/core/access'
import { inOneLine as text, renderHtml, renderWords } from '../testing/renderWords.tsx'
import { Answer } from './Answer.tsx'
import { PassLines } from './PassLines.tsx'

type Obstacle = Extract<ThingAnswer, { allowed: false }>['obstacles'][number]

const thing = (id: string, kind: 'page' | 'collection', title: string, publishedAt: string | null = NOON) =>
  ({ id, kind, title, publishedAt, isBinned: false, binnedAt: null }) as unknown as Sharing['things'][number]
const NOON = '2026-11-01T12:00:00.000Z'

const pass = (change: Partial<Pass> = {}): Pass => ({
  ...{ id: 'pass', thing: { kind: 'page', id: 'creek' }, rights: ['look'], firstDay: null, lastDay: null },
  audience: { kind: 'assessors', id: 'methods', name: 'Shore Methods' },
  ...{ from: NOON, until: '2026-12-13T00:00:00.000Z', state: 'running', isForbidden: false, address: null },
  revision: 1,
  ...change,
})
const sharing = (passes: Pass[], places: Sharing['places'] = []): Sharing => ({
  things: [thing('creek', 'page', 'The creek'), thing('year', 'collection', 'Shore year')],
  places,
  passes,
})
const audiences: Audiences = {
  allowed: ['person', 'assessors', 'class', 'link'],
  classes: [{ id: 'methods', name: 'Shore Methods', people: 15, assessors: [] }],
  people: [{ id: 'odalys', name: 'Odalys Fenn', isAssessor: true, className: 'Shore Methods' }],
}

const panel = (answer: Partial<ThingAnswer>, about: Sharing = sharing([pass()]), language?: 'es') => {
  const [chosen] = about.things
  if (!chosen) throw new Error('nothing to look at')
  return renderHtml(
    <Answer
      sharing={about}
      audiences={audiences}
      looker={{ kind: 'person', personId: 'odalys' }}
      at={null}
      chosen={chosen}
      name="Odalys Fenn"
      lookAs={{} as UseQueryResult<LookAs>}
      onLooker={() => undefined}
      onAt={() => undefined}
      onGive={() => undefined}
      answers={[{ thingId: 'creek', ...answer } as ThingAnswer]}
    />,
    language && { language },
  )
}
const grant = (path: string[] = [], passId = 'pass') => ({ kind: 'pass' as const, passId, path })

describe('an answer that is yes', () => {
  it('says until when: the end of a day, an hour, or without an end', () => {
    const until = (at: string | null) => text(panel({ allowed: true, grants: [grant()], until: at }))
    expect(until('2026-12-13T00:00:00.000Z')).toContain('Odalys Fenn can look until 12 Dec.')
    expect(until('2026-12-12T17:00:00.000Z')).toContain('can look until Sat 12 Dec, 17:00.')
    expect(until(null)).toContain('Odalys Fenn can look, with no end date.')
  })

  it('gives its reasons: who that is, by which pass, what is published, and the rules', () => {
    const words = text(panel({ allowed: true, grants: [grant()], until: null }))
    expect(words).toContain('Odalys Fenn is an assessor of Shore Methods.')
    expect(words).toContain('You share The creek: since 1 Nov, until 12 Dec.')
    expect(words).toContain('The page is published and not hidden.')
    expect(words).toContain('The sharing rules of your school allow it.')
  })

  it('says from which collection a pass comes down', () => {
    const words = text(panel({ allowed: true, grants: [grant(['year'])], until: null }))
    expect(words).toMatch(/You share Shore year: .*This is in it\./)
    const nested = sharing([pass()])
    const things = [...nested.things, thing('banks', 'collection', 'Two banks')]
    const through = panel(
      { allowed: true, grants: [grant(['year', 'banks'])], until: null },
      { ...nested, things },
    )
    expect(text(through)).toContain('This is in it, inside Two banks.')
  })

  it('counts the other passes that open it as well, each once', () => {
    const grants = [grant(), grant(['year'], 'other'), grant(['year'], 'other')]
    const about = sharing([pass(), pass({ id: 'other' })])
    expect(text(panel({ allowed: true, grants, until: null }, about))).toContain(
      'You share it in 1 other way, too.',
    )
  })
})

describe('an answer that is no', () => {
  const obstacles: readonly Obstacle[] = [
    { kind: 'no-pass' },
    { kind: 'not-published' },
    { kind: 'in-bin' },
    { kind: 'hidden', passId: 'pass', containerId: 'year' },
    { kind: 'container-in-bin', passId: 'pass', containerId: 'year' },
    { kind: 'to-come', passId: 'pass', from: '2026-12-01T00:00:00.000Z' },
    { kind: 'ended', passId: 'pass', until: '2026-11-21T00:00:00.000Z' },
    { kind: 'rules', passId: 'pass' },
    { kind: 'right', passId: 'pass' },
    { kind: 'not-in-class', passId: 'pass' },
  ]
  const no = (obstacles: readonly Obstacle[], language?: 'es') =>
    panel({ allowed: false, obstacles: [...obstacles] }, undefined, language)

  it.each([undefined, 'es'] as const)(
    'has a sentence for everything that stands in the way (%s)',
    (language) => {
      const said = obstacles.map((obstacle) => text(no([obstacle], language)))
      expect(new Set(said).size).toBe(obstacles.length)
      for (const words of said) expect(words).not.toMatch(/not\.|\{\{|undefined/)
    },
  )

  it('tells the last day of what has ended, and the first of what is to come', () => {
    const words = text(no(obstacles.filter(({ kind }) => kind === 'ended' || kind === 'to-come')))
    expect(words).toContain('You shared it until 20 Nov with: Assessors of Shore Methods.')
    expect(words).toContain('from 1 Dec')
  })

  it('offers the verb that changes it, and none where none helps', () => {
    const verbs = (kind: Obstacle['kind']) =>
      [...no(obstacles.filter((one) => one.kind === kind)).matchAll(/<(?:a|button)[^>]*>([^<]+)</g)].map(
        ([, words]) => words,
      )
    expect(verbs('no-pass')).toContain('Share it')
    expect(verbs('ended')).toContain('Share it again')
    expect(verbs('not-published')).toContain('Publish it')
    expect(verbs('hidden')).toContain('Show again')
    expect(verbs('rules')).toEqual(['The creek'])
  })

  it('puts what concerns the thing itself before what concerns its passes', () => {
    const words = text(no([...obstacles].reverse()))
    const at = ['It is in the bin.', 'It is not published.', 'You hid it', 'You do not share it here.'].map(
      (sentence) => words.indexOf(sentence),
    )
    expect(at).toEqual([...at].sort((a, b) => a - b))
    expect(at).not.toContain(-1)
  })
})

describe('the passes of a row', () => {
  const lines = (row: Partial<SharingRow>, about = sharing([pass()])) =>
    renderWords(
      <PassLines
        row={
          {
            ...{ thing: about.things[0], passes: [], inherited: [], isHidden: false, containerId: null },
            ...row,
          } as SharingRow
        }
        sharing={about}
        onManage={() => undefined}
      />,
    )

  it('say who, what they may, and from when until when', () => {
    expect(lines({ passes: [pass()] })).toMatch(/Assessors of Shore Methods: can look\s?1 Nov to 12 Dec/)
    expect(lines({ passes: [pass({ until: null })] })).toContain('since 1 Nov, no end date')
    expect(lines({ passes: [pass({ until: null, state: 'to-come' })] })).toContain('from 1 Nov, no end date')
  })

  it('say from which collection they come down', () => {
    const inherited = [{ pass: pass(), fromId: 'year' }]
    expect(lines({ inherited })).toContain('Assessors of Shore Methods, through Shore year')
  })

  it('rest while nothing is published, or the place is hidden', () => {
    const draft = { ...sharing([pass()]), things: [thing('creek', 'page', 'The creek', null)] }
    expect(lines({ passes: [pass()] }, draft)).toMatch(/^Starts when you publish/)
    const inherited = [{ pass: pass(), fromId: 'year' }]
    const hidden = lines({ inherited, isHidden: true })
    expect(hidden).toMatch(/^Hidden/)
    expect(hidden).not.toContain('from Shore year')
  })

  it('fold away once they have ended', () => {
    const words = lines({ passes: [pass({ state: 'ended' }), pass({ id: 'p2' })] })
    expect(words).toMatch(/1 .*ended/)
    expect(words).toContain('ended 12 Dec')
  })
})
