// What an improved guide changes for those who have begun it.
import { isSame } from '../json/index.ts'
import type { Localized } from '../people/index.ts'
import { isInstruction } from './instruction/instruction.ts'
import type { Block, GuideContent, Stage } from './schema.ts'

export interface GuideChange {
  what: 'added' | 'removed' | 'changed'
  of: 'stage' | 'question' | 'instruction'
  /** What it asks or is called; of an instruction, the name of its stage. */
  name: Localized
}

/**
 * Returns what a newer version changes, in its order. Dates are left out, as they hold for everybody at once.
 */
export function differenceGuides(before: GuideContent, after: GuideContent): GuideChange[] {
  const stages = compare(before.stages, after.stages, ({ name }) => name)
  const blocks = compare(blocksOf(before), blocksOf(after), ({ content }) => content)
  return [
    ...stages.map(({ what, part }) => ({ what, of: 'stage' as const, name: part.name })),
    ...blocks.map(({ what, part: { content, stage } }) =>
      isInstruction(content)
        ? { what, of: 'instruction' as const, name: stage.name }
        : { what, of: 'question' as const, name: content.asks },
    ),
  ]
}

interface PlacedBlock {
  readonly id: string
  readonly content: Block
  readonly stage: Stage
}

function blocksOf({ stages }: GuideContent): PlacedBlock[] {
  return stages.flatMap((stage) => stage.blocks.map((content) => ({ id: content.id, content, stage })))
}

interface Compared<T> {
  readonly what: GuideChange['what']
  readonly part: T
}

function compare<T extends { readonly id: string }>(
  before: readonly T[],
  after: readonly T[],
  shown: (part: T) => unknown,
): Compared<T>[] {
  const changes = after.flatMap((part): Compared<T>[] => {
    const earlier = before.find(({ id }) => id === part.id)
    if (!earlier) return [{ what: 'added', part }]
    return isSame(shown(earlier), shown(part)) ? [] : [{ what: 'changed', part }]
  })
  const gone = before.filter(({ id }) => !after.some((part) => part.id === id))
  return [...changes, ...gone.map((part) => ({ what: 'removed' as const, part }))]
}
