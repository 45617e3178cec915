// What became of handing in a copy by itself.
import type { SubmissionRow } from '@valise/core/submissions'
import type { Instant } from '@valise/core/time'

/** Returns whether handing in failed by itself and nothing was handed in since, so that it is done by hand. */
export function mustHandIn(failedAt: Instant | null, latest: Pick<SubmissionRow, 'state'> | null): boolean {
  if (latest?.state === 'not-sealed') return true
  return failedAt !== null && (latest === null || latest.state === 'taken-back')
}
