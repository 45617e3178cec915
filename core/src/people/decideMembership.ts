// Whether a membership may stand beside the ones there are.
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import { doOverlap, isEmptyWindow } from '../time/index.ts'
import type { TimeWindow } from '../time/index.ts'
import type { ClassRole } from './valueLists.ts'

export interface MembershipSpan extends TimeWindow {
  readonly classId: string
  readonly role: ClassRole
}

/** Refuses a window without a day, and overlapping memberships of one person in one class and role. */
export function decideMembership(wanted: MembershipSpan, others: readonly MembershipSpan[]): Decision {
  if (isEmptyWindow(wanted)) return no('window-empty')
  const same = others.filter((other) => other.classId === wanted.classId && other.role === wanted.role)
  return same.some((other) => doOverlap(wanted, other)) ? no('already-member') : yes
}
