// The program of the worker processes: opens the file store for itself and does one task after another.
import { shutOtherReaders } from './evidence/openPicture.ts'
import { openFolderStore } from './files/folderStore.ts'
import { serveTasks } from './jobs/serveTasks.ts'
import { workerTasks } from './workerTasks.ts'
import type { WorkerTasks } from './workerTasks.ts'

export interface WorkerData {
  readonly dataFolder: string
}

serveTasks(({ dataFolder }: WorkerData) => {
  shutOtherReaders()
  const run = workerTasks(openFolderStore(dataFolder))
  return (task, input) => run(task as keyof WorkerTasks & string, input as never)
})
