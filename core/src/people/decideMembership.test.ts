import { decideMembership } from './index.ts'
import type { MembershipSpan } from './index.ts'

const span = (
  from: string | null,
  until: string | null,
  more: Partial<MembershipSpan> = {},
): MembershipSpan => ({
  classId: 'methods',
  role: 'student',
  from,
  until,
  ...more,
})

describe('a membership beside the ones there are', () => {
  it('may follow on another without a gap', () => {
    expect(decideMembership(span('b', null), [span(null, 'b')]).allowed).toBe(true)
  })

  it('may not overlap one in the same class and role', () => {
    expect(decideMembership(span('a', null), [span(null, 'b')])).toMatchObject({ reason: 'already-member' })
  })

  it('may overlap one in another class or role', () => {
    const others = [span(null, null, { classId: 'crew' }), span(null, null, { role: 'assessor' })]
    expect(decideMembership(span(null, null), others).allowed).toBe(true)
  })

  it('must hold a moment', () => {
    expect(decideMembership(span('b', 'a'), [])).toMatchObject({ reason: 'window-empty' })
  })
})
