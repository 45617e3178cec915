// Today's plan: a student's next steps, what is with assessors, what was said last; and what an assessor is to read.
import type { PersonActor } from '@valise/core/people'
import { computeNextSteps, computeReadiness } from '@valise/core/submissions'
import type { LatestFeedback, OpenAssignment, SubmissionRow, TodayPlan } from '@valise/core/submissions'
import { listRunning } from '../assignments/index.ts'
import type { Reader } from '../database/index.ts'
import { listFeedbackOn } from '../feedback/index.ts'
import { listShownNames } from '../people/index.ts'
import { listChoices } from './choiceStore.ts'
import { loadFacts } from './facts.ts'
import { goingOf, prepareParts } from './goingParts.ts'
import { listReading, listRecentOwn } from './listStore.ts'
import { listLatest, toSubmissionRow } from './submissionStore.ts'

const FEEDBACK_SHOWN = 3

/** Computes Today, in a number of queries that does not depend on how many assignments there are. */
export async function getToday(reader: Reader, actor: PersonActor): Promise<TodayPlan> {
  const open = await listOpenAssignments(reader, actor)
  return {
    at: reader.now,
    steps: computeNextSteps(open, reader.now),
    withAssessors: open.flatMap(({ latest }) =>
      latest?.state === 'with-assessor' || latest?.state === 'sealing' ? [latest] : [],
    ),
    reading: await listReading(reader, actor),
    feedback: await listLatestFeedback(reader, actor),
  }
}

/** Lists the running assignments of one's classes with their readiness and latest submission. */
async function listOpenAssignments(reader: Reader, actor: PersonActor): Promise<OpenAssignment[]> {
  const running = await listRunning(reader, actor)
  const ids = running.map(({ id }) => id)
  const choices = await listChoices(reader, actor, ids)
  const latest = await listLatest(reader, actor, ids)
  const names = await listShownNames(
    reader,
    latest.flatMap(({ decidedBy }) => decidedBy ?? []),
  )
  const parts = await prepareParts(
    reader,
    actor,
    choices.flatMap((choice) => choice.parts),
  )
  const facts = await loadFacts(
    reader,
    actor,
    goingOf(parts),
    running.flatMap(({ requirements }) => requirements),
  )
  return running.map(({ id, guideId, title, dueAt, requirements }) => {
    const own = choices.find(({ assignmentId }) => assignmentId === id)?.parts ?? []
    // Each part was prepared as each choice wants it, in the same order.
    const first = choices
      .slice(
        0,
        choices.findIndex(({ assignmentId }) => assignmentId === id),
      )
      .reduce((sum, choice) => sum + choice.parts.length, 0)
    const going = goingOf(own.length > 0 ? parts.slice(first, first + own.length) : [])
    const found = latest.find(({ assignmentId }) => assignmentId === id)
    return {
      ...{ id, guideId, title, dueAt },
      readiness: computeReadiness(requirements, { ...facts, parts: going }),
      latest: found ? toSubmissionRow(found) : null,
      askedBy: found?.decidedBy ? (names.get(found.decidedBy) ?? null) : null,
    }
  })
}

async function listLatestFeedback(reader: Reader, actor: PersonActor): Promise<LatestFeedback[]> {
  const own: SubmissionRow[] = await listRecentOwn(reader, actor)
  const said = await listFeedbackOn(
    reader,
    actor,
    own.map(({ id }) => id),
  )
  return said
    .filter(({ isMine }) => !isMine)
    .reverse()
    .slice(0, FEEDBACK_SHOWN)
    .flatMap((feedback) => {
      const submission = own.find(({ id }) => id === feedback.submissionId)
      return submission ? [{ ...feedback, assignment: submission.title, state: submission.state }] : []
    })
}
