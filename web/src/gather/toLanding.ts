// What the server needs to know of a place.
import type { Landing } from '@valise/core/evidence'
import type { LandingPlace } from './gathering.ts'

export function toLanding({ classId, assignmentId }: LandingPlace): Landing {
  return { ...(classId !== undefined && { classId }), ...(assignmentId !== undefined && { assignmentId }) }
}
