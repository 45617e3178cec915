// When a viewer is in the class of a pass, in certain roles.
import type { ClassRole } from '../../people/index.ts'
import type { TimeWindow } from '../../time/index.ts'
import type { AccessPass, AccessWorld, Viewer } from '../world.ts'

export function membershipWindows(
  { audience }: AccessPass,
  viewer: Viewer,
  { memberships }: Pick<AccessWorld, 'memberships'>,
  isIn: (role: ClassRole) => boolean,
): TimeWindow[] {
  if (viewer.kind !== 'person') return []
  return memberships.filter(
    ({ personId, classId, role }) =>
      personId === viewer.personId && classId === audience.classId && isIn(role),
  )
}
