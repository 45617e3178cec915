// The program of the worker processes: opens the file store for itself and does one task after another.
import { evidenceTasks, shutOtherReaders } from './evidence/index.ts'
import type { EvidenceTasks } from './evidence/index.ts'
import { openFolderStore } from './files/index.ts'
import { serveTasks } from './jobs/serveTasks.ts'

export interface WorkerData {
  readonly dataFolder: string
}

serveTasks(({ dataFolder }: WorkerData) => {
  shutOtherReaders()
  const run = evidenceTasks(openFolderStore(dataFolder))
  return (task, input) => run(task as keyof EvidenceTasks & string, input as never)
})
