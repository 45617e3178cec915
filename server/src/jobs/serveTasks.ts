// The other side of `WorkerProcess`: a program that runs each task it receives and answers.
import { guardProcess } from './guardProcess.ts'
import type { TaskAnswer, TaskMessage } from './WorkerProcess.ts'

/**
 * Guards this process and serves tasks until it is ended.
 *
 * @returns the `data` from the parent
 */
export function serveTasks<D extends object>(
  makeRunner: (data: D) => (task: string, input: object) => Promise<object>,
): void {
  const { megabytes, parent, ...data } = JSON.parse(process.env['VALISE_WORKER'] ?? '{}')
  guardProcess({ megabytes, parent })
  const run = makeRunner(data)
  const answer = (message: TaskAnswer) => process.send?.(message)
  process.on('message', ({ task, input }: TaskMessage) => {
    run(task, input).then(
      (output) => answer({ output, rss: process.memoryUsage.rss() }),
      (error: unknown) => answer({ failure: failureOf(error), rss: process.memoryUsage.rss() }),
    )
  })
  process.on('disconnect', () => process.exit(0))
}

function failureOf(error: unknown): { message: string; code: string | null } {
  if (!(error instanceof Error)) return { message: String(error), code: null }
  return { message: error.stack ?? error.message, code: 'code' in error ? String(error.code) : null }
}
