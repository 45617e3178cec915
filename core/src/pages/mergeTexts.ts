// Two windows wrote the same text: nothing that either wrote is lost.
import { isSame } from '../json/index.ts'
import type { RichText } from './richText.ts'

/**
 * Merges the text of this window with one that another window saved: the one that was changed, or where both were, both
 * one after the other, theirs first, without the blocks of mine that stand in theirs already.
 *
 * @param base the text that both windows started from
 */
export function mergeTexts(base: RichText, mine: RichText, theirs: RichText): RichText {
  if (isSame(mine, base) || isSame(mine, theirs)) return theirs
  if (isSame(theirs, base)) return mine
  const added = mine.content.filter((block) => !theirs.content.some((other) => isSame(block, other)))
  return { type: 'doc', content: [...theirs.content, ...added] }
}
