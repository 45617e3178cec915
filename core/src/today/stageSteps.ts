// Which stages of guides are the next thing to do, computed from how far their copies have come.
import { rowsOf } from '../guides/index.ts'
import type { GuideContent, GuideRow, StageOnRoute } from '../guides/index.ts'
import { isAnswerPiece, progressOf } from '../pages/index.ts'
import type { PageDocument } from '../pages/index.ts'
import type { Instant } from '../time/index.ts'
import type { StageStep } from './schema.ts'

/** A guide that is set, with the content that its copy goes along and the copy as it is, or would begin. */
export interface GuideToDo {
  readonly row: GuideRow
  readonly content: GuideContent
  readonly document: PageDocument
}

/**
 * Computes the steps of guides: the stages that are open and not done, those due next first and those without an end
 * last. Of stages without an end, the first of each guide is the next thing to do. A guide that has ended, or that an
 * assessor has, needs no step.
 */
export function computeStageSteps(guides: readonly GuideToDo[]): StageStep[] {
  const steps = guides.flatMap(({ row, content, document }) => {
    if (row.isEnded || isElsewhere(row)) return []
    const open = row.stages.filter(({ phase, progress }) => phase === 'open' && progress !== 'done')
    const shown = open.filter((stage, n) => n === 0 || stage.closesAt !== null)
    return shown.flatMap((stage) => {
      const asked = content.stages.find(({ id }) => id === stage.id)
      return asked ? [toStep(row, stage, openQuestions(document, asked))] : []
    })
  })
  // A letter that follows every digit puts what is never due last.
  const key = ({ dueAt, guideId }: StageStep) => `${dueAt ?? 'z'} ${guideId}`
  return steps.sort((a, b) => (key(a) < key(b) ? -1 : 1))
}

/** Whether a copy was handed in, or waits to be handed in or changed, which is a step of its own. */
function isElsewhere({ latest }: GuideRow): boolean {
  return latest !== null && latest.state !== 'taken-back'
}

function toStep(row: GuideRow, stage: StageOnRoute, questions: StageStep['questions']): StageStep {
  const { guideId, copyId, title, dueAt, reading } = row
  const ends = [stage.closesAt, dueAt].flatMap((at) => at ?? [])
  return {
    ...{ guideId, copyId, stageId: stage.id, title, name: stage.name },
    ...{ dueAt: firstOf(ends), isHandedIn: reading === 'sealed' },
    ...{ required: stage.required, open: stage.open, questions },
  }
}

function firstOf(instants: readonly Instant[]): Instant | null {
  return [...instants].sort()[0] ?? null
}

function openQuestions(
  document: PageDocument,
  stage: GuideContent['stages'][number],
): StageStep['questions'] {
  const questions = rowsOf(document, stage).flatMap((row) => {
    const piece = row.pieces.find(isAnswerPiece)
    if (!piece || progressOf(piece, row.pieces.length - 1).state === 'there') return []
    const { id, kind, asks, weight } = piece.given.question
    return [{ id, kind, asks, weight }]
  })
  return [
    ...questions.filter(({ weight }) => weight === 'must'),
    ...questions.filter(({ weight }) => weight !== 'must'),
  ]
}
