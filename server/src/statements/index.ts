// Statements: what is said of evidence, freely or along questions.
export { beginStatement, statementRoom } from './service.ts'
export { statementRoutes } from './routes.ts'
