// Two windows, or two assessors, wrote one guide: what each changed is kept, stage by stage and block by block.
import { isSame } from '../json/index.ts'
import { mergeFields, mergeLists } from '../offers/index.ts'
import type { GuideContent, Stage } from './schema.ts'

/**
 * Merges a guide of this window with one that another window saved; see `mergeLists`.
 *
 * @param base what both windows started from
 */
export function mergeGuides(base: GuideContent, mine: GuideContent, theirs: GuideContent): GuideContent {
  return {
    ...mergeFields(base, mine, theirs),
    ...pickChanged(base, mine, theirs, ['reading', 'dueLocal']),
    stages: mergeLists(base.stages, mine.stages, theirs.stages, mergeStages),
  }
}

function mergeStages(base: Stage, mine: Stage, theirs: Stage): Stage {
  return {
    id: mine.id,
    ...pickChanged(base, mine, theirs, ['name', 'opens', 'closesLocal']),
    blocks: mergeLists(base.blocks, mine.blocks, theirs.blocks),
  }
}

/** Takes each field as whoever changed it has it; where both did, mine. */
function pickChanged<T, K extends keyof T>(base: T, mine: T, theirs: T, fields: readonly K[]): Pick<T, K> {
  const picked = fields.map((field) => [
    field,
    isSame(mine[field], base[field]) ? theirs[field] : mine[field],
  ])
  return Object.fromEntries(picked) as Pick<T, K>
}
