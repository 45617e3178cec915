// Background work: jobs in the database, and threads for what is heavy.
export { makeJobs } from './Jobs.ts'
export type { JobHandler, Jobs } from './Jobs.ts'
export { makeInlineWorkers, makeThreads } from './Workers.ts'
export type { TaskRunner, Workers } from './Workers.ts'
export { ProcessEnded, runInProcess } from './runInProcess.ts'
export type { ProcessLimits } from './runInProcess.ts'
