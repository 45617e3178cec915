// Pages: what a student arranges, and what was published of it.
export { comparePages } from './comparePages.ts'
export { findHandedOut } from './handOut.ts'
export { pageInBin } from './pageInBin.ts'
export { pageRoutes } from './routes.ts'
export { findPublished, findSeenPage, listOwnPages } from './store.ts'
export { createPage, pageRoom, publishPage } from './service.ts'

export type { PageTasks } from './tasks.ts'
