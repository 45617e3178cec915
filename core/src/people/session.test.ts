import fc from 'fast-check'
import { addMinutes, toInstant } from '../time/index.ts'
import { roleOf, sessionEndsAt, systemActor, unknownActor } from './index.ts'

const START = '2026-11-26T08:00:00.000Z'

describe('the end of a session', () => {
  it('moves with each sign of life until the absolute limit', () => {
    const limits = { idleMinutes: 15, absoluteMinutes: 60 }
    expect(sessionEndsAt(START, START, limits)).toBe('2026-11-26T08:15:00.000Z')
    expect(sessionEndsAt(START, '2026-11-26T08:30:00.000Z', limits)).toBe('2026-11-26T08:45:00.000Z')
    expect(sessionEndsAt(START, '2026-11-26T08:55:00.000Z', limits)).toBe('2026-11-26T09:00:00.000Z')
  })

  it('never outlives either limit', () => {
    const minutes = fc.integer({ min: 1, max: 10_000 })
    fc.assert(
      fc.property(minutes, minutes, minutes, (idleMinutes, absoluteMinutes, later) => {
        const seen = addMinutes(START, later)
        const end = sessionEndsAt(START, seen, { idleMinutes, absoluteMinutes })
        expect(end <= addMinutes(seen, idleMinutes)).toBe(true)
        expect(end <= addMinutes(START, absoluteMinutes)).toBe(true)
      }),
    )
  })
})

describe('the role in which an act is recorded', () => {
  const person = {
    kind: 'person',
    personId: 'p',
    sessionId: 's',
    administrator: false,
    memberships: [],
  } as const

  it('is the strongest one', () => {
    const memberships = [{ classId: 'a', role: 'student' } as const, { classId: 'b', role: 'lead' } as const]
    expect(roleOf({ ...person, memberships })).toBe('lead')
    expect(roleOf({ ...person, memberships, administrator: true })).toBe('administrator')
    expect(roleOf(person)).toBe('person')
    expect(roleOf(systemActor('sweep'))).toBe('system')
    expect(roleOf(unknownActor)).toBe('unknown')
  })
})

describe('instants', () => {
  it('refuse years that four digits cannot hold', () => {
    expect(() => toInstant(Date.UTC(10_000, 0))).toThrow(RangeError)
  })
})
