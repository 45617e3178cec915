// Which copy comes after another in the queue, and which before.
import type { SubmissionRow } from '@valise/core/submissions'

type Place = Pick<SubmissionRow, 'id' | 'requestedAt'>

/**
 * The copies around one in a queue, which need not hold it any more: one that was answered has left it.
 *
 * @param rows in the order of the queue, the oldest first unless `isNewestFirst`
 * @param present null where none is open: then the first one comes next
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
 * The copy to go on with after one was answered: the next, else the first that was passed over.
 *
 * @param rows what is still to be read, the oldest first
 */
export function nextToRead<T extends Place>(rows: readonly T[], present: Place): T | null {
  const others = rows.filter(({ id }) => id !== present.id)
  return around(others, present).next ?? others[0] ?? null
}

function compare(a: Place, b: Place): number {
  if (a.requestedAt !== b.requestedAt) return a.requestedAt < b.requestedAt ? -1 : 1
  return a.id === b.id ? 0 : a.id < b.id ? -1 : 1
}
