// How far a class has come with a guide, and opening its stages by hand.
import { dueAtOf, guideMoments, QUIET_DAYS } from '@valise/core/guides'
import type { GuideProgress, GuideStudentRow, StageOpeningWish } from '@valise/core/guides'
import { isAssessorRole } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Writable } from '../database/index.ts'
import { appendRecord } from '../records/index.ts'
import { findFollowed, listFollowed } from './followStore.ts'
import type { FollowedGuide, FollowedStudent } from './followStore.ts'
import { closeStage, listOpenings, listProgress, openedIn, openStage } from './stageStore.ts'
import type { StageProgressRow } from './stageStore.ts'

const MINUTES_A_DAY = 1440

/** @throws AppError `not-found` for whoever does not assess the class, or where the guide was never set for it */
export async function getProgress(
  reader: Reader,
  actor: PersonActor,
  guideId: string,
  classId: string,
): Promise<GuideProgress> {
  const guide = await getFollowed(reader, actor, guideId, classId)
  const { content, timeZone, assignmentId, className, classCode } = guide
  const opened = openedIn(await listOpenings(reader, [guideId]), guideId, classId)
  const moments = guideMoments(content, timeZone, opened)
  const students = await listFollowed(reader, guideId, classId, assignmentId)
  const noted = await listProgress(
    reader,
    students.flatMap(({ copyId }) => copyId ?? []),
  )
  const found = new Map<string, StageProgressRow[]>()
  for (const row of noted) {
    const rows = found.get(row.copyId)
    if (rows) rows.push(row)
    else found.set(row.copyId, [row])
  }
  const quietSince = addMinutes(reader.now, -QUIET_DAYS * MINUTES_A_DAY)
  const stages = content.stages.flatMap(({ id, name, opens }) => {
    const when = moments.find(({ stageId }) => stageId === id)
    return when ? [{ id, name, how: opens.how, ...when }] : []
  })
  return {
    at: reader.now,
    ...{ guideId, classId, className, classCode, title: content.title, reading: content.reading },
    ...{ dueAt: dueAtOf(content, timeZone), assignmentId, stages },
    students: students.map((student) =>
      toRow(student, stages, found.get(student.copyId ?? '') ?? [], quietSince),
    ),
  }
}

/** Opens a stage by hand for a class, or takes that back. */
export function changeOpening(
  on: Writable,
  actor: PersonActor,
  guideId: string,
  { classId, stageId, isOpen }: StageOpeningWish,
): Promise<GuideProgress> {
  return inTransaction(on, async (trx) => {
    const { content } = await getFollowed(trx, actor, guideId, classId)
    if (!content.stages.some(({ id }) => id === stageId)) throw new AppError('not-found', 'not-found')
    const opening = { guideId, classId, stageId }
    await (isOpen ? openStage(trx, opening) : closeStage(trx, opening))
    const action = isOpen ? 'stage-opened' : 'stage-closed'
    await appendRecord(trx, actor, { action, subject: 'class', subjectId: classId })
    return getProgress(trx, actor, guideId, classId)
  })
}

async function getFollowed(
  reader: Reader,
  actor: PersonActor,
  guideId: string,
  classId: string,
): Promise<FollowedGuide> {
  const isAssessor = actor.memberships.some((one) => one.classId === classId && isAssessorRole(one.role))
  const guide = isAssessor ? await findFollowed(reader, guideId, classId) : null
  if (!guide) throw new AppError('not-found', 'not-found')
  return guide
}

function toRow(
  student: FollowedStudent,
  stages: GuideProgress['stages'],
  noted: readonly StageProgressRow[],
  quietSince: Instant,
): GuideStudentRow {
  const { personId, name, copyId, changedAt, submissionId, feedback } = student
  const cells = stages.map(({ id: stageId, closesAt }) => {
    const row = noted.find((one) => one.stageId === stageId)
    return {
      progress: row?.progress ?? ('not-begun' as const),
      changedAt: row?.changedAt ?? null,
      changedAfterClose: row !== undefined && closesAt !== null && row.changedAt > closesAt,
    }
  })
  const isDone = cells.every(({ progress }) => progress === 'done')
  const handIn = handInOf(student)
  return {
    ...{ personId, name, copyId, changedAt, cells, submissionId, feedback, handIn },
    isQuiet: changedAt !== null && changedAt < quietSince && !isDone && handIn === null,
  }
}

function handInOf({ state, byItself }: FollowedStudent): GuideStudentRow['handIn'] {
  if (state === 'not-sealed') return 'failed'
  if (state === null || state === 'taken-back') return null
  return byItself ? 'by-itself' : 'handed-in'
}
