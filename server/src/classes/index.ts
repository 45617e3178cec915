// Classes: groups of students with their assessors.
export { classRoutes } from './routes.ts'
export { createClass } from './service.ts'
