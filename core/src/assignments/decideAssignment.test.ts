import { decideAssignment, roleInAssignments } from './index.ts'
import type { AssignmentInput, Requirement } from './index.ts'

const membership = (classId: string, role: 'student' | 'assessor' | 'lead') => ({
  ...{ classId, className: classId, classCode: classId, role },
})

describe('what somebody is to the assignments of a class', () => {
  const roleOf = (...memberships: ReturnType<typeof membership>[]) =>
    roleInAssignments({ memberships }, 'methods')

  it('is nothing outside of the class, whatever they are elsewhere', () => {
    expect(roleOf()).toBeNull()
    expect(roleOf(membership('crew', 'assessor'))).toBeNull()
  })

  it('is a student, or an assessor who may lead', () => {
    expect(roleOf(membership('methods', 'student'))).toBe('student')
    expect(roleOf(membership('methods', 'assessor'))).toBe('assessor')
    expect(roleOf(membership('methods', 'lead'))).toBe('assessor')
  })

  it('is the assessor where somebody is both', () => {
    expect(roleOf(membership('methods', 'student'), membership('methods', 'assessor'))).toBe('assessor')
  })
})

describe('an assignment', () => {
  const rights = (id: string): Requirement => ({ id, kind: 'rights', weight: 'must' })
  const level = (id: string) => ({ id, name: { en: id } })
  const input = (requirements: Requirement[], scale: string[]): AssignmentInput => ({
    ...{ title: { en: 'Transect' }, brief: null, terms: [], dueLocal: null, allowsGaps: true },
    ...{ requirements, scale: scale.map(level) },
  })

  it('has requirements and levels that can be told apart', () => {
    expect(decideAssignment(input([rights('a'), rights('b')], ['c', 'd'])).allowed).toBe(true)
    expect(decideAssignment(input([rights('a'), rights('a')], ['c', 'd'])).allowed).toBe(false)
    expect(decideAssignment(input([rights('a')], ['c', 'c'])).allowed).toBe(false)
    expect(decideAssignment(input([rights('a')], ['a', 'c'])).allowed).toBe(false)
  })
})
