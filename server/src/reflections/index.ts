// Reflections: logbooks and their dated entries.
export { entryJobs, planEntryIndex } from './entryJobs.ts'
export { reflectionRoutes } from './routes.ts'
export { changeEntry, changeLogbook, createEntry, createLogbook, entryRoom } from './service.ts'
export { entryInBin, logbookInBin } from './inBin.ts'
