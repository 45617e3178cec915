// Assignments, as assessors set them.
export { loadAssignmentScreen, loadAssignmentsScreen, loadNewAssignmentScreen } from './loaders.ts'
