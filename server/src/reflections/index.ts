// Reflections: logbooks and their dated entries.
export { reflectionRoutes } from './routes.ts'
export { createEntry, createLogbook } from './service.ts'
export { entryInBin, logbookInBin } from './inBin.ts'
