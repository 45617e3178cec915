// Records: who did what when.
export { recordRoutes } from './routes.ts'
export { appendRecord } from './store.ts'
