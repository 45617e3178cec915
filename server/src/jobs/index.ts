// Background work: jobs in the database, and processes for what is heavy.
export { makeJobs } from './Jobs.ts'
export type { JobHandler, Jobs } from './Jobs.ts'
export type { JobPayload } from './store.ts'
export { makeInlineWorkers, makeProcesses } from './Workers.ts'
export type { Lane, LaneOptions, TaskRunner, Turn, Workers } from './Workers.ts'
export { ProcessBurst, ProcessStopped } from './WorkerProcess.ts'
