// Handing in what is due without its owner: as it was when it was due, again where some of it came later, or that it failed.
import { isSame } from '@valise/core/json'
import type { ShownDocument } from '@valise/core/pages'
import { systemActor } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import type { SubmissionState } from '@valise/core/submissions'
import type { Instant } from '@valise/core/time'
import { getAssignment } from '../assignments/index.ts'
import type { Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { inOwnersTransaction } from '../things/index.ts'
import { noteAct, pin, prepare } from './handInService.ts'
import { listPinned } from './sealedStore.ts'
import { insertSubmission, listLatest, notePinned } from './submissionStore.ts'

/**
 * Hands in what is due by itself, as it was when it was due. Idempotent: what was handed in already stays as it is.
 *
 * @param due the assignment, and the moment that counts
 * @returns whether something was handed in
 */
export function handInWhenDue(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  { assignmentId, at }: { readonly assignmentId: string; readonly at: Instant },
): Promise<boolean> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const prepared = await prepare(trx, actor, assignmentId, at)
    const isWithSomebody = prepared.latest !== null && !isHandedInAnew.includes(prepared.latest.state)
    if (isWithSomebody || !prepared.decision.allowed) return false
    await pin(trx, jobs, actor, prepared, { requestedAt: at, byItself: true, cameAt: null })
    return true
  })
}

/**
 * Hands in again, as it was when it was due, what was handed in by itself then: some of it was on a device without a
 * connection and came later. Idempotent: where nothing of the copy is different, or it was answered, it stays as it is.
 *
 * @param came the assignment, and the moment at which the last of it came
 * @returns whether something was handed in
 */
export function handInWhatCame(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  { assignmentId, at }: { readonly assignmentId: string; readonly at: Instant },
): Promise<boolean> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const [latest] = await listLatest(trx, actor, [assignmentId])
    if (latest?.state !== 'with-assessor' || !latest.byItself) return false
    const { requestedAt } = latest
    const prepared = await prepare(trx, actor, assignmentId, requestedAt)
    const before = (await listPinned(trx, latest.id)).map(writtenIn)
    const now = prepared.parts.flatMap(({ goesIn, contents }) => (goesIn && contents ? [contents] : []))
    if (isSame(before, now.map(writtenIn))) {
      await notePinned(trx, latest.id)
      return false
    }
    await pin(trx, jobs, actor, prepared, { requestedAt, byItself: true, cameAt: at })
    return true
  })
}

/** The words of a part, with those of the entries in it. */
function writtenIn({ document, shown }: ShownDocument) {
  return { document, entries: Object.values(shown.entries).map((entry) => entry.document) }
}

/** What was handed in before and is with nobody is handed in again when it is due. */
const isHandedInAnew: readonly SubmissionState[] = ['taken-back', 'not-sealed']

/**
 * Writes down that handing in by itself failed for good, as a hand-in of which nothing is sealed: its owner and the
 * assessors see it, and it is done again by hand. What was handed in otherwise meanwhile stays as it is.
 *
 * @returns whether it is so
 */
export function failHandIn(
  on: Writable,
  actor: PersonActor,
  { assignmentId, at }: { readonly assignmentId: string; readonly at: Instant },
): Promise<boolean> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const [latest = null] = await listLatest(trx, actor, [assignmentId])
    if (latest !== null && latest.state !== 'taken-back') return false
    const { dueAt, terms } = await getAssignment(trx, actor, assignmentId, 'student')
    const id = await insertSubmission(trx, {
      ...{ assignmentId, ownerId: actor.personId, n: (latest?.n ?? 0) + 1, dueAt, lateMinutes: 0 },
      ...{ readiness: [], terms, gaps: 0, parts: 0, requestedAt: at, byItself: true, cameAt: null },
      state: 'not-sealed',
    })
    await noteAct(trx, systemActor('handing in what is due'), 'hand-in-failed', id)
    return true
  })
}
