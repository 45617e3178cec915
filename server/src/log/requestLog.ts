// The log: what was asked and how it went, without personal text, tokens or addresses.
import { pino } from 'pino'

export type LogLevel = 'silent' | 'error' | 'info'

interface RequestLine {
  readonly request: string
  readonly method: string
  /** The pattern of the route, never the address itself: addresses hold ids and tokens. */
  readonly route: string
  readonly status: number
  readonly ms: number
}

export interface RequestLog {
  answered(line: RequestLine): void
  /** A defect, in full but for the values: drivers put those into `detail`, which is left out. */
  failed(request: string, error: unknown): void
}

export function openLog(level: LogLevel): RequestLog {
  const logger = pino({ level, base: null })
  return {
    answered: (line) => logger.info(line, 'answered'),
    failed: (request, error) => logger.error({ request, error: describe(error) }, 'failed'),
  }
}

function describe(error: unknown): object {
  if (!(error instanceof Error)) return { name: typeof error }
  const code = 'code' in error ? { code: String(error.code) } : {}
  const cause = error.cause === undefined ? {} : { cause: describe(error.cause) }
  // Knex puts the statement with its values in front of the driver's own words.
  const message = error.message.split(' - ').at(-1)
  const stack = error.stack?.split('\n').filter((line) => line.trimStart().startsWith('at '))
  return { name: error.name, message, ...code, stack, ...cause }
}
