// Two windows wrote one question sheet: what each changed is kept, question by question.
import { mergeFields, mergeLists } from '../offers/index.ts'
import type { SheetContent } from './schema.ts'

/**
 * Merges a sheet of this window with one that another window saved; see `mergeLists`.
 *
 * @param base what both windows started from
 */
export function mergeSheets(base: SheetContent, mine: SheetContent, theirs: SheetContent): SheetContent {
  return {
    ...mergeFields(base, mine, theirs),
    questions: mergeLists(base.questions, mine.questions, theirs.questions),
  }
}
