// Which stages of a copy are open at a moment, how far each has come, and whether the copy waits to be handed in by hand.
import { isAnswerPiece, isUnanswered, progressOf } from '../pages/index.ts'
import type { PageDocument, Row } from '../pages/index.ts'
import type { Instant } from '../time/index.ts'
import { rowsOf } from './guideCopy.ts'
import type { GuideContent, GuideRow, Stage, StageMoments, StageOnRoute } from './schema.ts'
import type { StageOpening, StagePhase, StageProgress } from './valueLists.ts'

/**
 * Returns the stages of a copy on their route.
 *
 * A stage is done when every question of it that is required is answered, and something in it at all; one without
 * questions when it is open. A stage that waits for the one before stays open once something was answered in it, so
 * that nobody loses sight of what they wrote.
 *
 * @param moments when stages open and close, for the class of the copy
 */
export function stageStates(
  document: PageDocument,
  content: Pick<GuideContent, 'stages'>,
  moments: readonly StageMoments[],
  at: Instant,
): StageOnRoute[] {
  const route: StageOnRoute[] = []
  for (const stage of content.stages) {
    const rows = rowsOf(document, stage)
    const when = moments.find(({ stageId }) => stageId === stage.id)
    const before = route.at(-1)
    const { required, open, isAnswered } = countOf(rows)
    const hasOpened = openers[stage.opens.how]({
      when,
      at,
      isAnswered,
      isBeforeDone: before === undefined || before.progress === 'done',
    })
    const phase = phaseOf(hasOpened, when?.closesAt ?? null, at)
    const isDone = open === 0 && (rows.length === 0 ? phase !== 'to-come' : isAnswered)
    route.push({
      ...{ id: stage.id, name: stage.name, how: stage.opens.how, phase, required, open },
      ...{ opensAt: when?.opensAt ?? null, closesAt: when?.closesAt ?? null },
      progress: isDone ? 'done' : isAnswered ? 'in-progress' : 'not-begun',
    })
  }
  return route
}

interface Opening {
  readonly when: StageMoments | undefined
  readonly at: Instant
  readonly isAnswered: boolean
  readonly isBeforeDone: boolean
}

/** Whether a stage has opened, by how it opens. */
const openers: { readonly [H in StageOpening]: (opening: Opening) => boolean } = {
  at: ({ when, at }) => when?.opensAt === undefined || when.opensAt === null || when.opensAt <= at,
  after: ({ isBeforeDone, isAnswered }) => isBeforeDone || isAnswered,
  hand: ({ when, at }) => when?.openedAt !== undefined && when.openedAt !== null && when.openedAt <= at,
}

function phaseOf(hasOpened: boolean, closesAt: Instant | null, at: Instant): StagePhase {
  if (closesAt !== null && closesAt <= at) return 'closed'
  return hasOpened ? 'open' : 'to-come'
}

/** Returns how far one stage has come, whatever the time. */
export function progressOfStage(document: PageDocument, stage: Pick<Stage, 'blocks'>): StageProgress {
  const rows = rowsOf(document, stage)
  const { open, isAnswered } = countOf(rows)
  if (open === 0 && isAnswered) return 'done'
  return isAnswered ? 'in-progress' : 'not-begun'
}

function countOf(rows: readonly Row[]) {
  const answers = rows.flatMap((row) => {
    const piece = row.pieces.find(isAnswerPiece)
    return piece ? [{ piece, row }] : []
  })
  const required = answers.filter(({ piece }) => piece.given.question.weight === 'must')
  const open = required.filter(({ piece, row }) => progressOf(piece, row.pieces.length - 1).state !== 'there')
  const isAnswered = answers.some(({ piece, row }) => !isUnanswered(piece, row))
  return { required: required.length, open: open.length, isAnswered }
}

/** Whether handing a copy in by itself failed, so that its student hands it in by hand. */
export function mustHandIn({ latest }: Pick<GuideRow, 'latest'>): boolean {
  return latest?.state === 'not-sealed'
}
