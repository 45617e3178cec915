// What people write, publish in versions, and offer to their classes or to the school.
export { offeredRoom } from './offeredRoom.ts'
export { offeredRoutes } from './offeredRoutes.ts'
export { listNewestVersions, listOfferedTo, listVersions } from './store.ts'
export type { NewestVersionRow } from './store.ts'
