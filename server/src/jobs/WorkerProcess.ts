// One process that does tasks one after the other, limited in time and memory.
import { fork } from 'node:child_process'
import type { ChildProcess } from 'node:child_process'

export interface ProcessLimits {
  /** From the start of a task to its end. */
  readonly milliseconds: number
  /** Of memory in all, native memory included. */
  readonly megabytes: number
}

/** The process ended before it answered: it exceeded its memory or time, or crashed on its input. */
export class ProcessBurst extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'ProcessBurst'
  }
}

/** The process ended together with its server; the next one can run the task. */
export class ProcessStopped extends Error {
  constructor() {
    super('the process was stopped with its server')
    this.name = 'ProcessStopped'
  }
}

export interface TaskMessage {
  readonly task: string
  readonly input: object
}

export type TaskAnswer =
  | { readonly output: object; readonly rss: number }
  | { readonly failure: { readonly message: string; readonly code: string | null }; readonly rss: number }

/** An error within the task. It has the `code` of a system error where there was one. */
class TaskFailed extends Error {
  readonly code: string | undefined

  constructor({ message, code }: { readonly message: string; readonly code: string | null }) {
    super(message)
    this.name = 'TaskFailed'
    if (code !== null) this.code = code
  }
}

const HEAP_SHARE = 0.5

export class WorkerProcess {
  readonly #child: ChildProcess
  readonly #limits: ProcessLimits
  #isOver = false
  #isStopped = false
  /** Memory that the process held after its last task, in megabytes. */
  #heldMegabytes = 0

  /** @param data is given to the program in `VALISE_WORKER`, as JSON */
  constructor(program: URL, data: object, limits: ProcessLimits) {
    this.#limits = limits
    const isSource = program.pathname.endsWith('.ts')
    this.#child = fork(program, {
      execArgv: [
        `--max-old-space-size=${Math.floor(limits.megabytes * HEAP_SHARE)}`,
        '--disable-warning=ExperimentalWarning',
        ...(isSource ? ['--import', 'tsx'] : []),
      ],
      // It needs nothing else of this process's environment, least of all its secrets.
      env: {
        PATH: process.env['PATH'] ?? '',
        // Freed memory goes back to the system instead of staying in one arena for each thread.
        MALLOC_ARENA_MAX: '2',
        VALISE_WORKER: JSON.stringify({ ...data, megabytes: limits.megabytes, parent: process.pid }),
      },
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      serialization: 'advanced',
    })
    this.#child.on('error', () => (this.#isOver = true))
    this.#child.once('exit', () => (this.#isOver = true))
  }

  /** Whether it can do no further task: it has ended, or holds so much memory that a fresh one is better. */
  isWorn(): boolean {
    return this.#isOver || this.#heldMegabytes > this.#limits.megabytes / 2
  }

  /**
   * Does one task. The next may be given once this one has settled.
   *
   * @throws ProcessBurst, ProcessStopped, TaskFailed
   */
  run(message: TaskMessage): Promise<object> {
    const child = this.#child
    return new Promise((resolve, reject) => {
      let isLate = false
      const timer = setTimeout(() => {
        isLate = true
        child.kill('SIGKILL')
      }, this.#limits.milliseconds)
      const settle = (then: () => void) => {
        clearTimeout(timer)
        child.off('message', onMessage).off('exit', onExit).off('error', onError)
        then()
      }
      const onMessage = (answer: TaskAnswer) => {
        this.#heldMegabytes = answer.rss / 1_048_576
        settle(() => ('output' in answer ? resolve(answer.output) : reject(new TaskFailed(answer.failure))))
      }
      const onExit = (code: number | null, signal: string | null) => {
        const why = isLate ? `took more than ${this.#limits.milliseconds} ms` : `ended: ${signal ?? code}`
        settle(() =>
          reject(this.#isStopped ? new ProcessStopped() : new ProcessBurst(`${message.task} ${why}`)),
        )
      }
      const onError = (error: Error) => settle(() => reject(error))
      child.on('message', onMessage).on('exit', onExit).on('error', onError)
      if (this.#isOver) onExit(null, null)
      else child.send(message, (error) => error && !this.#isOver && onError(error))
    })
  }

  /** Ends it at once, in the middle of whatever it does. */
  stop(): Promise<void> {
    this.#isStopped = true
    if (this.#isOver) return Promise.resolve()
    return new Promise((resolve) => {
      this.#child.once('exit', () => resolve())
      this.#child.kill('SIGKILL')
    })
  }
}
