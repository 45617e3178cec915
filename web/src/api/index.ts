// The way to the server.
export { ApiProblem } from './ApiProblem.ts'
export { ask, get, getBytes, sendBody, withQuery } from './ask.ts'
export { sendFile } from './resumableUpload.ts'
export type { Sending } from './resumableUpload.ts'
