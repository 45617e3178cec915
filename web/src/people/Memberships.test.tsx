import type { Membership, Person } from '@valise/core/people'
import { renderHtml, renderWords } from '../testing/renderWords.tsx'
import { Memberships } from './Memberships.tsx'

const year = new Date().getUTCFullYear()
const membership = (change: Partial<Membership> = {}): Membership =>
  ({
    ...{ id: 'm', personId: 'w', classId: 'methods', className: 'Shore Methods', classCode: 'FLD-204' },
    ...{ role: 'student', firstDay: `${year}-09-01`, lastDay: null, state: 'running', revision: 1 },
    ...change,
  }) as Membership
const wren = { id: 'w', fullName: 'Wren Adeyemi-Holt', endedAt: null } as Person
const list = (some: readonly Partial<Membership>[], person: Partial<Person> = {}) =>
  renderWords(
    <Memberships
      person={{ ...wren, ...person }}
      memberships={some.map((change, n) => membership({ id: `m${n}`, ...change }))}
    />,
  )

describe('the classes of a person', () => {
  it('say in which role, and from when until when', () => {
    expect(list([{}])).toMatch(/Shore Methods, student\s?from 1 Sept?, .*/)
    expect(list([{ lastDay: `${year}-12-12` }])).toContain('until 12 Dec')
    expect(list([{ firstDay: null, lastDay: null }])).not.toContain('from')
  })

  it('say of those that are over and those to come that they are', () => {
    const said = (['running', 'ended', 'to-come'] as const).map((state) => list([{ state }]))
    expect(new Set(said).size).toBe(3)
  })

  it('can be told apart by who only hears their buttons', () => {
    const html = renderHtml(
      <Memberships person={wren} memberships={[membership(), membership({ id: 'n', role: 'lead' })]} />,
    )
    const names = [...html.matchAll(/aria-label="([^"]+)"/g)].map(([, name]) => name)
    expect(names).toHaveLength(2)
    expect(new Set(names).size).toBe(2)
  })

  it('are none for whoever is in none, and can be joined by nobody who was ended', () => {
    expect(list([])).toMatch(/\S/)
    expect(list([])).toContain('class')
    const ended = list([{}], { endedAt: '2026-11-20T12:00:00.000Z' })
    expect(list([{}]).split('\n').length).toBeGreaterThan(ended.split('\n').length)
  })
})
