// Heavy work in threads of its own, so that no request stands still while a picture is opened.
import { AppError } from '@valise/core/problems'
import { Piscina } from 'piscina'

/** A task by its name, with what goes in and comes out; both must be plain data. */
export type TaskShapes = Record<string, { readonly input: object; readonly output: object }>

export interface Workers<T extends TaskShapes> {
  /** @throws AppError `busy` when the task took longer than it may; its thread is ended then. */
  run<N extends keyof T & string>(task: N, input: T[N]['input']): Promise<T[N]['output']>
  close(): Promise<void>
}

export type TaskRunner<T extends TaskShapes> = <N extends keyof T & string>(
  task: N,
  input: T[N]['input'],
) => Promise<T[N]['output']>

const LIMIT_MS = 60_000

/**
 * Workers in threads. `program` is the file whose `runTask` does the tasks; it gets `data` once, when it starts.
 */
export function makeThreads<T extends TaskShapes>(program: URL, data: object): Workers<T> {
  const isSource = program.pathname.endsWith('.ts')
  const pool = new Piscina({
    filename: program.href,
    name: 'runTask',
    // A thread starts when there is the first thing to do, and leaves after a while without any.
    minThreads: 0,
    maxThreads: 2,
    idleTimeout: 30_000,
    workerData: data,
    ...(isSource && { execArgv: ['--import', 'tsx'] }),
  })
  return {
    async run(task, input) {
      const signal = AbortSignal.timeout(LIMIT_MS)
      try {
        return await pool.run({ task, input }, { signal })
      } catch (error) {
        if (signal.aborted) throw new AppError('busy', 'busy', { cause: error })
        throw error
      }
    },
    close: () => pool.destroy(),
  }
}

/** The same tasks without threads; for tests. */
export function makeInlineWorkers<T extends TaskShapes>(runTask: TaskRunner<T>): Workers<T> {
  return { run: runTask, close: async () => undefined }
}
