// Setting a new assignment.
import { AssignmentForm } from './AssignmentForm.tsx'

export function NewAssignmentScreen() {
  return <AssignmentForm assignment={null} />
}
