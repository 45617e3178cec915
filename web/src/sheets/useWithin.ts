// The place of the rail that question sheets belong to: their own for assessors, the logbooks for students.
import { isAssessorRole } from '@valise/core/people'
import { useSession } from '../session/index.ts'
import type { PlaceName } from '../ui/place.ts'

export function useWithin(): { readonly within?: PlaceName } {
  const { memberships } = useSession()
  return memberships.some(({ role }) => isAssessorRole(role)) ? {} : { within: 'logbooks' }
}
