// A thread for heavy work: opens the file store for itself and does one task after another.
import { workerData } from 'node:worker_threads'
import { evidenceTasks, shutOtherReaders } from './evidence/index.ts'
import type { EvidenceTasks } from './evidence/index.ts'
import { openFolderStore } from './files/index.ts'
import { onceInProcess } from './onceInProcess.ts'

export interface WorkerData {
  readonly dataFolder: string
  /** How far the shutting of readers is. */
  readonly shutting: SharedArrayBuffer
}

const { dataFolder, shutting }: WorkerData = workerData

// They are shut for the whole process, and for a moment all of them: what another thread reads then would seem damaged.
onceInProcess(shutting, shutOtherReaders)
const run = evidenceTasks(openFolderStore(dataFolder))

export function runTask<N extends keyof EvidenceTasks>({
  task,
  input,
}: {
  task: N
  input: EvidenceTasks[N]['input']
}): Promise<EvidenceTasks[N]['output']> {
  return run(task, input)
}
