// Work that may burst whoever does it, in a process of its own: limited in memory and time, ended when it exceeds them.
import { fork } from 'node:child_process'

export interface ProcessLimits {
  readonly milliseconds: number
  /** Of the JavaScript heap. */
  readonly megabytes: number
}

/** The process ended without an answer, or took longer than it may. */
export class ProcessEnded extends Error {
  constructor(message: string) {
    super(message)
    this.name = 'ProcessEnded'
  }
}

/**
 * Runs a program once: hands it `input` and gives what it answers. The program answers by one message,
 * `{answer}` or `{failure}`.
 *
 * @throws ProcessEnded when there is no answer within the limits
 */
export function runInProcess<A>(program: URL, input: object, limits: ProcessLimits): Promise<A> {
  const isSource = program.pathname.endsWith('.ts')
  return new Promise((resolve, reject) => {
    const child = fork(program, {
      execArgv: [
        `--max-old-space-size=${limits.megabytes}`,
        '--disable-warning=ExperimentalWarning',
        ...(isSource ? ['--import', 'tsx'] : []),
      ],
      // It needs nothing of what this process was told, least of all its secrets.
      env: { PATH: process.env['PATH'] ?? '' },
      stdio: ['ignore', 'ignore', 'ignore', 'ipc'],
      serialization: 'advanced',
    })
    const timer = setTimeout(() => child.kill('SIGKILL'), limits.milliseconds)
    child.once('error', reject)
    child.once('message', (message: { answer: A } | { failure: string }) => {
      if ('answer' in message) resolve(message.answer)
      else reject(new Error(message.failure))
      child.kill('SIGKILL')
    })
    child.once('exit', (code, signal) => {
      clearTimeout(timer)
      reject(new ProcessEnded(`the reading process ended: ${signal ?? code}`))
    })
    child.send(input)
  })
}
