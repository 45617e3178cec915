import { homeOf, placesOf } from './places.ts'

const membership = (role: 'student' | 'assessor', classId = 'c1') => ({
  classId,
  className: 'C',
  classCode: 'C-1',
  role,
})
const names = (session: Parameters<typeof placesOf>[0]) =>
  placesOf(session).flatMap((stop) => stop.places.map((place) => place.name))

describe('the rail', () => {
  it('shows students Today, their class and what they gather', () => {
    expect(names({ administrator: false, memberships: [membership('student')] })).toEqual([
      'today',
      'class',
      'evidence',
      'logbooks',
      'guides',
      'pages',
      'collections',
      'sharing',
      'submissions',
      'opened',
      'grow',
    ])
  })

  it('shows assessors what they read and set', () => {
    expect(names({ administrator: false, memberships: [membership('assessor')] })).toEqual([
      'today',
      'desk',
      'classes',
      'opened',
      'assignments',
      'guidesSet',
      'sheets',
      'attributes',
    ])
  })

  it('begins at People for somebody who only administers', () => {
    const session = { administrator: true, memberships: [] }
    expect(names(session)).toEqual(['people', 'classes', 'attributes', 'records'])
    expect(homeOf(session)).toBe('/people')
  })

  it('is the union in fixed order for somebody with several roles', () => {
    const session = {
      administrator: true,
      memberships: [membership('student'), membership('assessor', 'c2')],
    }
    expect(names(session)).toEqual([
      'today',
      'class',
      'evidence',
      'logbooks',
      'guides',
      'pages',
      'collections',
      'sharing',
      'submissions',
      'opened',
      'grow',
      'desk',
      'assignments',
      'guidesSet',
      'sheets',
      'attributes',
      'people',
      'classes',
      'records',
    ])
    expect(homeOf(session)).toBe('/')
  })

  it('shows Today to somebody in no class', () => {
    expect(names({ administrator: false, memberships: [] })).toEqual(['today'])
  })
})
