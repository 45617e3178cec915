// What of a place the server is told.
import type { Landing } from '@valise/core/evidence'
import type { LandingPlace } from './gathering.ts'

export function toLanding({ classId, assignmentId }: LandingPlace): Landing {
  return { ...(classId !== undefined && { classId }), ...(assignmentId !== undefined && { assignmentId }) }
}
