// What two sides of a document knew in common, where it is not certain which changes of one have reached the other.
import { isSame } from '@valise/core/pages'

/**
 * The merge base of a document in this window and the server's. What was sent and not answered may have arrived: then
 * the server's document holds it already, and what was changed since counts from there. Otherwise an undo of it would
 * look like no change at all, and would be lost.
 *
 * @param join the three-way merge of the document
 * @param base what the server had when it was last heard of
 * @param sent what was sent since and never answered, the latest last
 */
export function mergeBase<T>(
  join: (base: T, mine: T, theirs: T) => T,
  base: T,
  sent: readonly T[],
  theirs: T,
): T {
  return sent.findLast((document) => isSame(join(base, document, theirs), theirs)) ?? base
}
