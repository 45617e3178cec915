// The way to the server.
export { ApiProblem } from './ApiProblem.ts'
export { ask, get, withQuery } from './ask.ts'
