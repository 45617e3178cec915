// Collections: what a student arranges pages into, and how others read it.
export { collectionRoutes } from './routes.ts'
export { collectionInBin } from './collectionInBin.ts'
export { rewriteReach } from './reachStore.ts'
export { changeCollection, createCollection } from './service.ts'
