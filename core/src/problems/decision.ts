// The answer of a rule: yes, or no with the reason for it.
import { AppError } from './AppError.ts'
import type { ErrorCode } from './errorCodes.ts'
import type { ReasonParams } from './fillSentence.ts'
import type { Reason } from './reasons.ts'

export type Decision =
  | { readonly allowed: true }
  | { readonly allowed: false; readonly reason: Reason; readonly params: ReasonParams }

export const yes: Decision = { allowed: true }

export function no(reason: Reason, params: ReasonParams = {}): Decision {
  return { allowed: false, reason, params }
}

/** Throws an AppError with this code when the decision is a `no`. */
export function assertAllowed(decision: Decision, code: ErrorCode = 'forbidden'): void {
  if (!decision.allowed) throw new AppError(code, decision.reason, { params: decision.params })
}
