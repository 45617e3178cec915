// Handing in copies by themselves, as jobs: what is due is collected, and each copy is handed in on its own, so that one
// that fails holds up no other. After the server was down, what was due meanwhile is collected at its first turn.
import { ownerActor } from '@valise/core/people'
import { addMinutes } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { listToCollect, noteCollected } from '../assignments/index.ts'
import type { GuideAssignment } from '../assignments/index.ts'
import { inTransaction } from '../database/index.ts'
import type { Trx } from '../database/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import { tellNews } from '../news/index.ts'
import { listNewestVersions } from '../offers/index.ts'
import { failHandIn, handInWhatCame, handInWhenDue } from '../submissions/index.ts'
import type { SubmissionServices } from '../submissions/index.ts'
import { listCopiesToHandIn } from './copyStore.ts'
import { listCameLater } from './cameLaterStore.ts'
import { COLLECT_DUE, HAND_IN_COPY, HAND_IN_WHAT_CAME } from './jobNames.ts'

const COLLECTED_AT_ONCE = 20
/** A quarter of a minute, so that what is due is handed in to the minute. */
const LOOK_AGAIN_MINUTES = 1 / 4

export type GuideServices = SubmissionServices

/** Schedules the collecting, unless already scheduled. */
export function planCollecting({ database, jobs }: GuideServices): Promise<void> {
  return inTransaction(database, (trx) =>
    jobs.enqueue(trx, { kind: COLLECT_DUE, payload: {}, dedupeKey: COLLECT_DUE }),
  )
}

export function guideJobs(services: GuideServices): Readonly<Record<string, JobHandler>> {
  return {
    // Whatever goes wrong, what is due later is collected all the same.
    [COLLECT_DUE]: { run: () => collect(services), giveUp: () => planCollecting(services) },
    [HAND_IN_COPY]: {
      run: async (payload) => {
        const { ownerId, assignmentId, at } = toWish(payload)
        await handInWhenDue(services.database, services.jobs, ownerActor(ownerId), { assignmentId, at })
      },
      giveUp: (payload) => giveUp(services, toWish(payload)),
    },
    [HAND_IN_WHAT_CAME]: {
      run: async ({ ownerId, assignmentId, cameAt }) => {
        const actor = ownerActor(String(ownerId))
        const came = { assignmentId: String(assignmentId), at: String(cameAt) }
        await handInWhatCame(services.database, services.jobs, actor, came)
      },
      // What was handed in when it was due stays, and the copy has all of it.
      giveUp: async () => undefined,
    },
  }
}

/** @returns when to look again */
async function collect(services: GuideServices): Promise<Instant> {
  const { database } = services
  const due = await listToCollect(database.reader(), COLLECTED_AT_ONCE)
  for (const assignment of due)
    await inTransaction(database, (trx) => enqueueCopies(trx, services, assignment))
  const cameLater = await listCameLater(database.reader())
  if (cameLater.length > 0)
    await inTransaction(database, async (trx) => {
      for (const { ownerId, assignmentId, cameAt } of cameLater)
        await services.jobs.enqueue(trx, {
          ...{ kind: HAND_IN_WHAT_CAME, payload: { ownerId, assignmentId, cameAt }, personId: ownerId },
          dedupeKey: `${HAND_IN_WHAT_CAME} ${ownerId} ${assignmentId}`,
        })
    })
  const { now } = database.reader()
  return due.length < COLLECTED_AT_ONCE ? addMinutes(now, LOOK_AGAIN_MINUTES) : now
}

async function enqueueCopies(
  trx: Trx,
  { jobs }: GuideServices,
  { id: assignmentId, guideId, classId, dueAt, endedAt }: GuideAssignment,
): Promise<void> {
  // A guide that ended before it was due hands nothing in.
  const isOver = dueAt === null || (endedAt !== null && endedAt <= dueAt)
  const copies = isOver ? [] : await listCopiesToHandIn(trx, { guideId, classId })
  const [newest] = await listNewestVersions(trx, [guideId])
  // A due time that was moved into the past takes nothing from what was written until it was moved.
  const at = newest && dueAt !== null && newest.publishedAt > dueAt ? newest.publishedAt : dueAt
  for (const { id: copyId, ownerId } of copies)
    await jobs.enqueue(trx, {
      kind: HAND_IN_COPY,
      payload: { copyId, ownerId, assignmentId, at: at ?? '' },
      ...{ dedupeKey: `${HAND_IN_COPY} ${copyId} ${dueAt}`, personId: ownerId },
    })
  await noteCollected(trx, assignmentId)
}

function toWish(payload: Readonly<Record<string, string | number>>) {
  const of = (name: string) => String(payload[name])
  return {
    ...{ copyId: of('copyId'), ownerId: of('ownerId') },
    assignmentId: of('assignmentId'),
    at: of('at'),
  }
}

/** After the last try: the student hands it in by hand, and everybody who waits for it can see why. */
async function giveUp({ database }: GuideServices, wish: ReturnType<typeof toWish>): Promise<void> {
  const { copyId, ownerId } = wish
  await inTransaction(database, async (trx) => {
    const copy = await trx.sql('things').where({ id: copyId }).first('title')
    if (!copy || !(await failHandIn(trx, ownerActor(ownerId), wish))) return
    const params = { copyId, title: copy.title }
    await tellNews(trx, { personId: ownerId, kind: 'guide-not-handed-in', params })
  })
}
