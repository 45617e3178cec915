// Which copy comes after another in the queue, and which before.
import type { SubmissionRow } from '@valise/core/submissions'

type Place = Pick<SubmissionRow, 'id' | 'requestedAt'>

/**
 * Returns the copies around one in a queue, even when that one has left the queue.
 *
 * @param rows in the order of the queue, oldest first unless `isNewestFirst`
 * @param present null for none: then the first one is next
 */
export function around<T extends Place>(
  rows: readonly T[],
  present: Place | null,
  isNewestFirst = false,
): { readonly before: T | null; readonly next: T | null } {
  if (present === null) return { before: null, next: rows[0] ?? null }
  const sign = isNewestFirst ? -1 : 1
  const before = rows.filter((row) => sign * compare(row, present) < 0)
  const after = rows.filter((row) => sign * compare(row, present) > 0)
  return { before: before.at(-1) ?? null, next: after[0] ?? null }
}

/**
 * Returns the copy to open after one was answered: the next, else the first that was skipped.
 *
 * @param rows the unread copies, oldest first
 */
export function nextToRead<T extends Place>(rows: readonly T[], present: Place): T | null {
  const others = rows.filter(({ id }) => id !== present.id)
  return around(others, present).next ?? others[0] ?? null
}

function compare(a: Place, b: Place): number {
  if (a.requestedAt !== b.requestedAt) return a.requestedAt < b.requestedAt ? -1 : 1
  return a.id === b.id ? 0 : a.id < b.id ? -1 : 1
}
