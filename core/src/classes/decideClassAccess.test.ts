import type { PersonActor } from '../people/index.ts'
import { systemActor, unknownActor } from '../people/index.ts'
import { decideClassAccess } from './index.ts'

const person: PersonActor = {
  kind: 'person',
  personId: 'p',
  sessionId: 's',
  administrator: false,
  memberships: [{ classId: 'methods', role: 'student' }],
}

describe('opening a class', () => {
  it('is for its members and for administrators', () => {
    expect(decideClassAccess(person, 'methods').allowed).toBe(true)
    expect(decideClassAccess({ ...person, administrator: true }, 'crew').allowed).toBe(true)
    expect(decideClassAccess(systemActor('test'), 'crew').allowed).toBe(true)
  })

  it('leads everybody else to nothing', () => {
    expect(decideClassAccess(person, 'crew')).toMatchObject({ allowed: false, reason: 'not-found' })
    expect(decideClassAccess(unknownActor, 'methods')).toMatchObject({ allowed: false, reason: 'not-found' })
  })
})
