// Heavy work in processes of its own: limited in memory and time, fair between people, ended with the server.
import { AppError } from '@valise/core/problems'
import { FairQueue } from './FairQueue.ts'
import { ProcessStopped, WorkerProcess } from './WorkerProcess.ts'
import type { ProcessLimits } from './WorkerProcess.ts'

/** The input and output of each task, by name; both must be plain data. */
export type TaskShapes = Record<string, { readonly input: object; readonly output: object }>

export type TaskRunner<T extends TaskShapes> = <N extends keyof T & string>(
  task: N,
  input: T[N]['input'],
) => Promise<T[N]['output']>

/** Whose turn it is, and whether a person waits for it. */
export interface Turn {
  readonly lane: Lane
  readonly personId: string
}

/** Requests and jobs have their own processes, so that neither waits for the other. */
export type Lane = 'requests' | 'jobs'

export interface Workers<T extends TaskShapes> {
  /**
   * @throws AppError `busy` when a request waited too long for its turn
   * @throws ProcessBurst when the task outgrew its limits: doing it again would come to the same
   */
  run<N extends keyof T & string>(task: N, input: T[N]['input'], turn: Turn): Promise<T[N]['output']>
  close(): Promise<void>
}

export interface LaneOptions {
  readonly processes: number
  readonly limits: ProcessLimits
  /** How long a task may wait for its turn; null for as long as it takes. */
  readonly longestWaitMs: number | null
  /** Tasks that get a process for themselves, which ends with them: they open files that are programs of a kind. */
  readonly alone?: readonly string[]
}

const IDLE_MS = 30_000

/**
 * Makes workers in processes of their own.
 *
 * @param program the file that runs the tasks, see `serveTasks`; it gets `data`
 */
export function makeProcesses<T extends TaskShapes>(
  program: URL,
  data: object,
  lanes: Readonly<Record<Lane, LaneOptions>>,
): Workers<T> {
  const open = Object.fromEntries(
    Object.entries(lanes).map(([name, options]) => [name, makeLane(program, data, options)]),
  ) as Record<Lane, ReturnType<typeof makeLane>>
  return {
    // The shapes say what belongs to a name; between processes there is plain data.
    run: (task, input, { lane, personId }) => open[lane].run(task, input, personId) as Promise<never>,
    close: async () => void (await Promise.all(Object.values(open).map((lane) => lane.close()))),
  }
}

interface Waiting {
  readonly start: (process: WorkerProcess) => Promise<void>
  readonly cancel: () => void
  readonly isAlone: boolean
}

function makeLane(program: URL, data: object, { processes, limits, longestWaitMs, alone = [] }: LaneOptions) {
  const queue = new FairQueue<Waiting>()
  const idle: WorkerProcess[] = []
  const all = new Set<WorkerProcess>()
  let working = 0
  let idleTimer: NodeJS.Timeout | undefined
  let isClosed = false

  function open(): WorkerProcess {
    const process = new WorkerProcess(program, data, limits)
    all.add(process)
    return process
  }
  async function end(process: WorkerProcess): Promise<void> {
    await process.stop()
    all.delete(process)
  }
  /** Starts what waits while there are processes for it. */
  function startNext(): void {
    while (!isClosed && working < processes) {
      const next = queue.take()
      if (!next) return
      working += 1
      void work(next)
    }
  }
  async function work({ start, isAlone }: Waiting): Promise<void> {
    clearTimeout(idleTimer)
    const reused = isAlone ? undefined : idle.pop()
    const process = reused ?? open()
    await start(process)
    if (isAlone || process.isWorn()) await end(process)
    else idle.push(process)
    working -= 1
    idleTimer = setTimeout(() => void Promise.all(idle.splice(0).map(end)), IDLE_MS)
    idleTimer.unref()
    startNext()
  }
  return {
    run(task: string, input: object, personId: string): Promise<object> {
      return new Promise((resolve, reject) => {
        const giveUp = () => queue.remove(personId, waiting) && reject(new AppError('busy', 'busy'))
        const timer = longestWaitMs === null ? undefined : setTimeout(giveUp, longestWaitMs)
        const waiting: Waiting = {
          isAlone: alone.includes(task),
          start: (process) => {
            clearTimeout(timer)
            return process.run({ task, input }).then(resolve, reject)
          },
          cancel: () => {
            clearTimeout(timer)
            reject(new ProcessStopped())
          },
        }
        if (isClosed) return waiting.cancel()
        queue.add(personId, waiting)
        startNext()
      })
    },
    async close(): Promise<void> {
      isClosed = true
      clearTimeout(idleTimer)
      for (let next = queue.take(); next; next = queue.take()) next.cancel()
      await Promise.all([...all].map(end))
    },
  }
}

/** Makes workers without processes; for tests. */
export function makeInlineWorkers<T extends TaskShapes>(runTask: TaskRunner<T>): Workers<T> {
  return { run: (task, input) => runTask(task, input), close: async () => undefined }
}
