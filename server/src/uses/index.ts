// Uses: which things show which, and which submissions contain them.
export { usesRoutes } from './routes.ts'
export { refreshUnused, refreshUnusedOf, replaceUses, sealedFilesOf } from './store.ts'
