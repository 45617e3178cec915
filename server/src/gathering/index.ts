// Gathering: the ways in beside uploads, and the background work that follows connected documents.
export { gatheringJobs } from './gatheringJobs.ts'
export { mountPhone } from './phoneRoutes.ts'
export { gatheringRoutes } from './routes.ts'
export { saveContent } from './saveContent.ts'
export { createNote } from './noteService.ts'
export type { GatheringServices } from './services.ts'
