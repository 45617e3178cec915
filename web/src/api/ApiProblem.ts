// A refusal by the server, or that it could not be reached, as the screens handle it.
import type { Problem } from '@valise/core/problems'

/** A failed request. `unreachable` means that there was no response. */
export class ApiProblem extends Error {
  readonly code: Problem['code'] | 'unreachable'
  readonly reason: string
  readonly params: Readonly<Record<string, string | number>>
  readonly fields: NonNullable<Problem['errors']>
  /** When the server was asked, by the clock of the page; answers may come after things have changed. */
  readonly askedAt: number

  constructor(problem: Problem | null, cause?: unknown, askedAt = performance.now()) {
    super(problem?.detail ?? 'The server cannot be reached.', { cause })
    this.name = 'ApiProblem'
    this.code = problem?.code ?? 'unreachable'
    this.reason = problem?.reason ?? 'unreachable'
    this.params = problem?.params ?? {}
    this.fields = problem?.errors ?? []
    this.askedAt = askedAt
  }

  /** A refusal that the device makes itself, before the server is asked. */
  static ofDevice(reason: Problem['reason']): ApiProblem {
    return new ApiProblem({
      type: '',
      title: '',
      detail: '',
      status: 422,
      code: 'invalid',
      reason,
      params: {},
    })
  }
}

/** How often something is tried again by itself. */
const MOST_RETRIES = 2

/** Returns whether to retry after so many failures: only failures that can pass; a refusal is final. */
export function mayRetry(failures: number, error: unknown): boolean {
  return (
    error instanceof ApiProblem && ['unreachable', 'busy'].includes(error.code) && failures < MOST_RETRIES
  )
}
