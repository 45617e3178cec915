// Two windows wrote one set of attributes: what each changed is kept, step by step and attribute by attribute.
import { mergeFields, mergeLists } from '../offers/index.ts'
import type { AttributeSetContent } from './schema.ts'

/**
 * Merges a set of this window with one that another window saved; see `mergeLists`.
 *
 * @param base what both windows started from
 */
export function mergeAttributeSets(
  base: AttributeSetContent,
  mine: AttributeSetContent,
  theirs: AttributeSetContent,
): AttributeSetContent {
  return {
    ...mergeFields(base, mine, theirs),
    steps: mergeLists(base.steps, mine.steps, theirs.steps),
    attributes: mergeLists(base.attributes, mine.attributes, theirs.attributes),
  }
}
