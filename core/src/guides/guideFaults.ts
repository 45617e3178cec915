// What a guide still lacks before students can begin it.
import { MOST_SHEET_QUESTIONS } from '../pages/index.ts'
import { isEmptyText } from '../people/index.ts'
import { questionFaults } from '../sheets/index.ts'
import type { QuestionFault } from '../sheets/index.ts'
import { questionsOf } from './guideCopy.ts'
import type { GuideContent, Stage } from './schema.ts'

export type GuideFault =
  | { readonly what: 'title' | 'stages' | 'due' | 'room' }
  /** The number of the stage, from 1. */
  | { readonly what: 'name' | 'blocks' | 'opens' | 'closes'; readonly stage: number }
  | { readonly what: QuestionFault; readonly stage: number; readonly question: number }

/** Returns what stands in the way of publishing, in reading order. */
export function guideFaults({ title, reading, dueLocal, stages }: GuideContent): GuideFault[] {
  return [
    ...(isEmptyText(title) ? [{ what: 'title' as const }] : []),
    ...(reading === 'sealed' && dueLocal === null ? [{ what: 'due' as const }] : []),
    ...(stages.length === 0 ? [{ what: 'stages' as const }] : []),
    ...stages.flatMap((stage, n) => faultsOfStage(stage, n + 1)),
    // A copy is one document, which takes up a version in one edit.
    ...(stages.flatMap(questionsOf).length > MOST_SHEET_QUESTIONS ? [{ what: 'room' as const }] : []),
  ]
}

function faultsOfStage({ name, opens, closesLocal, blocks }: Stage, stage: number): GuideFault[] {
  const opensAt = opens.how === 'at' ? opens.local : null
  const questions = questionsOf({ blocks })
  return [
    ...(isEmptyText(name) ? [{ what: 'name' as const, stage }] : []),
    ...(blocks.length === 0 ? [{ what: 'blocks' as const, stage }] : []),
    ...(opens.how === 'at' && opens.local === null ? [{ what: 'opens' as const, stage }] : []),
    ...(opensAt !== null && closesLocal !== null && closesLocal <= opensAt
      ? [{ what: 'closes' as const, stage }]
      : []),
    ...questions.flatMap((question, n) =>
      questionFaults(question).map((what) => ({ what, stage, question: n + 1 })),
    ),
  ]
}
