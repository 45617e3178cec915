// What evidence has done in threads: each task by its name.
import type { FileStore } from '../files/index.ts'
import type { TaskRunner, Workers } from '../jobs/index.ts'
import { examineFile } from './examineFile.ts'
import type { Examined, FileToExamine } from './examineFile.ts'
import { renderPicture } from './renderPicture.ts'
import type { RenderedPicture } from './renderPicture.ts'

export type EvidenceTasks = {
  readonly examine: { readonly input: FileToExamine; readonly output: Examined }
  readonly render: { readonly input: { readonly sha256: string }; readonly output: RenderedPicture }
}

export type EvidenceWorkers = Workers<EvidenceTasks>

/** Does the tasks over a file store, in whatever thread it is called. */
export function evidenceTasks(files: FileStore): TaskRunner<EvidenceTasks> {
  const tasks = {
    examine: (input: FileToExamine) => examineFile(files, input),
    render: (input: { readonly sha256: string }) => renderPicture(files, input),
  }
  // The name and what belongs to it come as one type parameter, which a table of functions cannot follow.
  return (task, input) => (tasks[task] as (one: typeof input) => Promise<never>)(input)
}
