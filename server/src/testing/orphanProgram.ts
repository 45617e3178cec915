// A parent for tests: starts a worker process that computes without a pause, tells its id, and waits to be killed.
import { makeProcesses } from '../jobs/index.ts'

const lane = { processes: 1, limits: { milliseconds: 600_000, megabytes: 400 }, longestWaitMs: null }
const workers = makeProcesses<Record<string, { input: object; output: { pid: number } }>>(
  new URL('./taskProgram.ts', import.meta.url),
  {},
  { requests: lane, jobs: lane },
)
const { pid } = await workers.run('pid', {}, { lane: 'jobs', personId: 'wren' })
void workers.run('spin', {}, { lane: 'jobs', personId: 'wren' })
process.stdout.write(`${pid}\n`)
