// All that is done in worker processes; each domain brings its tasks.
import { evidenceTasks } from './evidence/tasks.ts'
import type { EvidenceTasks } from './evidence/tasks.ts'
import type { FileStore } from './files/index.ts'
import type { TaskRunner } from './jobs/index.ts'
import { pageTasks } from './pages/tasks.ts'
import type { PageTasks } from './pages/tasks.ts'

export type WorkerTasks = EvidenceTasks & PageTasks

/** Returns the runner of the tasks over a file store, for any process. */
export function workerTasks(files: FileStore): TaskRunner<WorkerTasks> {
  const tasks = { ...evidenceTasks(files), ...pageTasks }
  // The name and what belongs to it come as one type parameter, which a table of functions cannot follow.
  return (task, input) => (tasks[task] as (one: typeof input) => Promise<never>)(input)
}
