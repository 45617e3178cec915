// What comes next on Today, of assignments and of guides, on one route: the next due first.
import type { NextStep } from '@valise/core/submissions'
import type { StageStep } from '@valise/core/today'

export interface Upcoming {
  readonly key: string
  readonly dueAt: string | null
  readonly work?: NextStep
  readonly stage?: StageStep
}

/**
 * Puts hand-ins and stages on one route. A guide that is worked through stands there by its stages; handing it in is a
 * step of its own only once nothing is open in it, or where somebody has to do it by hand.
 */
export function toUpcoming(works: readonly NextStep[], stages: readonly StageStep[]): Upcoming[] {
  const atStage = new Set(stages.map(({ guideId }) => guideId))
  const isNew = ({ latest }: NextStep) => latest === null || latest.state === 'taken-back'
  const steps: Upcoming[] = [
    ...works
      .filter((work) => !(work.guideId !== null && atStage.has(work.guideId) && isNew(work)))
      .map((work) => ({ key: work.assignmentId, dueAt: work.dueAt, work })),
    ...stages.map((stage) => ({ key: keyOf(stage), dueAt: stage.dueAt, stage })),
  ]
  // A letter that follows every digit puts what is never due last.
  const order = ({ dueAt, key }: Upcoming) => `${dueAt ?? 'z'} ${key}`
  return steps.sort((a, b) => (order(a) < order(b) ? -1 : 1))
}

function keyOf({ guideId, stageId }: Pick<StageStep, 'guideId' | 'stageId'>): string {
  return `${guideId} ${stageId}`
}

/** How many of them are due until a moment. */
export function countDue(upcoming: readonly Upcoming[], until: string): number {
  return upcoming.filter(({ dueAt }) => dueAt !== null && dueAt < until).length
}
