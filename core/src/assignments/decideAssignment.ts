// Who may set an assignment and work with it, and what an assignment must not be.
import { isAssessorRole } from '../people/index.ts'
import type { PersonActor } from '../people/index.ts'
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import type { AssignmentInput } from './schema.ts'

/** What somebody is to the assignments of a class, at the moment; null is nothing at all. */
export function roleInAssignments(
  { memberships }: Pick<PersonActor, 'memberships'>,
  classId: string,
): 'assessor' | 'student' | null {
  const here = memberships.filter((one) => one.classId === classId)
  if (here.some(({ role }) => isAssessorRole(role))) return 'assessor'
  return here.length > 0 ? 'student' : null
}

/** Two requirements or levels must not be one and the same: readiness and levels are told by their ids. */
export function decideAssignment({ requirements, scale }: AssignmentInput): Decision {
  const ids = [...requirements, ...scale].map(({ id }) => id)
  return new Set(ids).size === ids.length ? yes : no('invalid-input')
}
