// Assignments: what assessors ask their classes for.
export { assignmentRoutes } from './routes.ts'
export { getAssignment, setAssignment } from './service.ts'
export { listAssignmentsById, listRunning } from './store.ts'
