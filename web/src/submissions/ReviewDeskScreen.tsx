// The review desk before a copy is open: the queue over all assignments, or that of one.
import { useParams } from 'react-router'
import { ReviewDesk } from './ReviewDesk.tsx'

export function ReviewDeskScreen() {
  const { assignmentId = null } = useParams()
  return <ReviewDesk key={assignmentId} assignmentId={assignmentId} submissionId={null} />
}
