// What a kind of audience says: what a pass for it is given with, and when somebody belongs to it.
import type { TSchema } from 'typebox'
import type { TimeWindow } from '../../time/index.ts'
import type { AccessPass, AccessWorld, Viewer } from '../world.ts'

export interface AudienceDefinition {
  /** What its giver says; whoever it is for stands in `personId`, `classId` or `name`. */
  readonly schema: TSchema
  /** Whether a new school lets its youngest year group share with it. */
  readonly isUsualForYoungest: boolean
  /** Whether whoever holds its address belongs to it; such a pass is no one's by name, and grants `look` only. */
  readonly hasAddress: boolean
  /** The windows in which the viewer belongs to the audience of a pass; none where that is never. */
  windows(pass: AccessPass, viewer: Viewer, world: Pick<AccessWorld, 'memberships'>): readonly TimeWindow[]
}

export const always: readonly TimeWindow[] = [{ from: null, until: null }]
