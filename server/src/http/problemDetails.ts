// Problem details (RFC 9457): the one place where errors become answers.
import { AppError } from '@valise/core/problems'
import type { ErrorCode, Problem } from '@valise/core/problems'
import { isDiskFull } from '../system/index.ts'
import { ProcessBurst, ProcessStopped } from '../jobs/index.ts'

export const statusOf = {
  'signed-out': 401,
  forbidden: 403,
  'not-found': 404,
  'not-allowed': 405,
  conflict: 409,
  gone: 410,
  stale: 412,
  'too-large': 413,
  unsupported: 415,
  invalid: 422,
  'needs-revision': 428,
  'too-many': 429,
  unexpected: 500,
  busy: 503,
  'no-space': 507,
} as const satisfies Record<ErrorCode, number>

/** What each kind is in a few words; what happened this time stands in the detail. */
const titleOf = {
  'signed-out': 'Nobody is signed in',
  forbidden: 'Not allowed',
  'not-found': 'Not found',
  'not-allowed': 'Method not allowed',
  conflict: 'Not possible as things stand',
  gone: 'Gone',
  stale: 'Changed meanwhile',
  'too-large': 'Too large',
  unsupported: 'Unsupported type',
  invalid: 'Not valid',
  'needs-revision': 'Revision missing',
  'too-many': 'Too many requests',
  unexpected: 'Unexpected error',
  busy: 'Busy',
  'no-space': 'Out of space',
} as const satisfies Record<ErrorCode, string>

/** The session cookie. */
export const SESSION_COOKIE = 'valise'

/**
 * Converts any error to a refusal. A full disk, and work that exceeded its limits, have refusals of their own; any
 * other error is a defect: `unexpected`.
 */
export function toAppError(error: unknown): AppError {
  if (error instanceof AppError) return error
  if (isDiskFull(error)) return new AppError('no-space', 'no-space', { cause: error })
  if (error instanceof ProcessBurst) return new AppError('too-large', 'too-heavy', { cause: error })
  if (error instanceof ProcessStopped) return new AppError('busy', 'busy', { cause: error })
  return new AppError('unexpected', 'unexpected', { cause: error })
}

function problemOf(error: AppError, request: string): Problem {
  return {
    type: `urn:valise:problem:${error.code}`,
    title: titleOf[error.code],
    detail: error.message,
    status: statusOf[error.code],
    code: error.code,
    reason: error.reason,
    params: { ...error.params },
    ...(error.fields.length > 0 && {
      errors: error.fields.map(({ path, reason, params }) => ({
        path,
        reason,
        ...(params && { params: { ...params } }),
      })),
    }),
    request,
  }
}

/** Makes the response of a refusal, with the headers of its kind. */
export function problemResponse(error: AppError, request: string): Response {
  const headers = new Headers({ 'content-type': 'application/problem+json', 'cache-control': 'no-store' })
  const minutes = error.params['minutes']
  if (error.code === 'too-many' && typeof minutes === 'number')
    headers.set('retry-after', String(minutes * 60))
  if (error.code === 'signed-out')
    headers.set('www-authenticate', `Cookie realm="Valise", cookie-name=${SESSION_COOKIE}`)
  const allowed = error.params['allowed']
  if (error.code === 'not-allowed' && typeof allowed === 'string') headers.set('allow', allowed)
  if (error.code === 'busy') headers.set('retry-after', '2')
  return new Response(JSON.stringify(problemOf(error, request)), { status: statusOf[error.code], headers })
}
