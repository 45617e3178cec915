// The way to the server.
export { ApiProblem, mayRetry } from './ApiProblem.ts'
export { ask, get, getBytes, readProblem, sendBody, withQuery } from './ask.ts'
export { isOvertaken, tellChanged } from './changes.ts'
export type { Topic } from './changes.ts'
export { inPortions } from './inPortions.ts'
export { serverTime } from './serverClock.ts'
