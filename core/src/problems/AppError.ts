// The one error that a person can act on; everything else that is thrown is a defect.
import type { ErrorCode } from './errorCodes.ts'
import { fillSentence } from './fillSentence.ts'
import type { ReasonParams } from './fillSentence.ts'
import { reasonSentences } from './reasons.ts'
import type { FieldReason, Reason } from './reasons.ts'

/** What is wrong with one field; `path` is a JSON Pointer (RFC 6901) into the request body. */
export interface FieldProblem {
  readonly path: string
  readonly reason: FieldReason | Reason
  readonly params?: ReasonParams
}

export interface AppErrorOptions {
  readonly params?: ReasonParams
  readonly fields?: readonly FieldProblem[]
  readonly cause?: unknown
}

/**
 * A refusal that a person can act on. Its message is the English sentence of `reason`.
 *
 * Services and parsers throw it; pure rules return a `Decision` instead.
 */
export class AppError extends Error {
  readonly code: ErrorCode
  readonly reason: Reason
  readonly params: ReasonParams
  readonly fields: readonly FieldProblem[]

  constructor(code: ErrorCode, reason: Reason, options: AppErrorOptions = {}) {
    super(fillSentence(reasonSentences[reason], options.params), { cause: options.cause })
    this.name = 'AppError'
    this.code = code
    this.reason = reason
    this.params = options.params ?? {}
    this.fields = options.fields ?? []
  }
}
