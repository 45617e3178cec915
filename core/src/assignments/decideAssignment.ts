// Who may set an assignment and work with it, and what an assignment must not be.
import { isAssessorRole } from '../people/index.ts'
import type { PersonActor } from '../people/index.ts'
import { no, yes } from '../problems/index.ts'
import type { Decision } from '../problems/index.ts'
import type { AssignmentInput } from './schema.ts'

/** Returns the role of a person in the assignments of a class at this moment; null for none. */
export function roleInAssignments(
  { memberships }: Pick<PersonActor, 'memberships'>,
  classId: string,
): 'assessor' | 'student' | null {
  const here = memberships.filter((one) => one.classId === classId)
  if (here.some(({ role }) => isAssessorRole(role))) return 'assessor'
  return here.length > 0 ? 'student' : null
}

/** Refuses duplicate ids of requirements or levels, because readiness and outcomes refer to them by id. */
export function decideAssignment({ requirements, scale }: AssignmentInput): Decision {
  const ids = [...requirements, ...scale].map(({ id }) => id)
  return new Set(ids).size === ids.length ? yes : no('invalid-input')
}
