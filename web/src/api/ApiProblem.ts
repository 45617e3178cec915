// A refusal by the server, or that it could not be reached, as the screens handle it.
import type { Problem } from '@valise/core/problems'

/** What went wrong with a request. `unreachable` means that nothing came back at all. */
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

  /** What the server would have refused, told by the device before it is asked. */
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

/** Whether to retry after so many failures: only what may go better next time is; a refusal stays one. */
export function mayRetry(failures: number, error: unknown): boolean {
  return (
    error instanceof ApiProblem && ['unreachable', 'busy'].includes(error.code) && failures < MOST_RETRIES
  )
}
