// Today beside the assignments: stages of guides that are open, and the week so far.
export { todayRoutes } from './routes.ts'
