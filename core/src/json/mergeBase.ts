// Two windows changed the same document: what both of them started from.
import { isSame } from './isSame.ts'

/**
 * Returns the merge base of a document in this window and on the server. What was sent without an answer may have
 * arrived: then the server's document contains it, and later changes are relative to it. Otherwise an undo of it
 * would look like no change and be lost.
 *
 * @param merge the three-way merge of the document
 * @param base the last known document of the server
 * @param sent what was sent since without an answer, latest last
 */
export function mergeBase<T>(
  merge: (base: T, mine: T, theirs: T) => T,
  base: T,
  sent: readonly T[],
  theirs: T,
): T {
  // One that changes nothing is contained in anything, and tells nothing of what arrived.
  const hasArrived = (document: T) => !isSame(document, base) && isSame(merge(base, document, theirs), theirs)
  return sent.findLast(hasArrived) ?? base
}
