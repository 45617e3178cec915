// Assignments: what assessors ask their classes for.
export { assignmentRoutes } from './routes.ts'
export { listOfGuides, listToCollect, noteCollected, setForGuide } from './guideStore.ts'
export type { GuideAssignment } from './guideStore.ts'
export { getAssignment, setAssignment } from './service.ts'
export { listAssignmentsById, listRunning, listStudentIds } from './store.ts'
