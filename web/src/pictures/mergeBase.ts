// What two sides of a document knew in common, where it is not certain which changes of one have reached the other.
import { isSame } from '@valise/core/pages'

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
  return sent.findLast((document) => isSame(merge(base, document, theirs), theirs)) ?? base
}
