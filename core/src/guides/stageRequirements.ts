// What a guide requires, as requirements of the assignment that its copies are handed in for.
import type { Requirement } from '../assignments/index.ts'
import { questionsOf } from './guideCopy.ts'
import type { GuideContent } from './schema.ts'

/** Returns one requirement for each stage that has required questions. */
export function stageRequirements({ stages }: Pick<GuideContent, 'stages'>): Requirement[] {
  return stages.flatMap((stage) => {
    const questions = questionsOf(stage)
      .filter(({ weight }) => weight === 'must')
      .map(({ id, asks }) => ({ id, asks }))
    if (questions.length === 0) return []
    return [{ kind: 'stage' as const, id: stage.id, weight: 'must' as const, name: stage.name, questions }]
  })
}
