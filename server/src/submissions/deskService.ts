// The review desk: opening a sealed copy, answering it, undoing the answer, and feedback.
import type { Feedback, NewFeedback } from '@valise/core/feedback'
import type { Localized, PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import type { RecordAction } from '@valise/core/records'
import { decideOutcome, decideUndoOutcome, stateAfter } from '@valise/core/submissions'
import type { Outcome, Queue, ReceivedLevel, Submission, UndoneOutcome } from '@valise/core/submissions'
import { findViewer } from '../access/index.ts'
import { getAssignment, listAssignmentsById } from '../assignments/index.ts'
import { inTransaction } from '../database/index.ts'
import type { PageWish, Reader, Trx, Writable } from '../database/index.ts'
import { insertFeedback, listFeedbackOn, listOpenFeedback, takeFeedback } from '../feedback/index.ts'
import { forgetNews, tellNews } from '../news/index.ts'
import type { NewsToTell } from '../news/index.ts'
import { findSeenPage } from '../pages/index.ts'
import { listShownNames } from '../people/index.ts'
import { appendRecord } from '../records/index.ts'
import { lockOwner } from '../things/index.ts'
import { listAssessors } from './assessorStore.ts'
import { countQueue, listFailed, listOwnWith, listQueue } from './listStore.ts'
import type { QueueShelf } from './listStore.ts'
import { getStoredSubmission, getSubmission } from './readService.ts'
import { listParts } from './sealedStore.ts'
import { updateSubmission } from './submissionStore.ts'
import type { StoredSubmission } from './submissionStore.ts'

/**
 * @param assignmentId null for the queue over all assignments
 */
export async function getQueue(
  reader: Reader,
  actor: PersonActor,
  assignmentId: string | null,
  shelf: QueueShelf,
  wish: PageWish,
): Promise<Queue> {
  const assignment =
    assignmentId === null ? null : await getAssignment(reader, actor, assignmentId, 'assessor')
  return {
    assignment,
    ...(await listQueue(reader, actor, assignmentId, shelf, wish)),
    ...(await countQueue(reader, actor, assignmentId)),
    failed: await listFailed(reader, actor, assignmentId),
  }
}

/** Changes a submission that the caller assesses; nobody else changes it, or others of its owner, meanwhile. */
function changeRead<T>(
  on: Writable,
  actor: PersonActor,
  id: string,
  work: (trx: Trx, stored: StoredSubmission) => Promise<T>,
): Promise<T> {
  return inTransaction(on, async (trx) => {
    const { ownerId } = await getStoredSubmission(trx, actor, id, 'assessor')
    await lockOwner(trx, ownerId)
    return work(trx, await getStoredSubmission(trx, actor, id, 'assessor'))
  })
}

/** Opens a copy. The first time is recorded: from then on the student cannot take it back. */
export function openCopy(on: Writable, actor: PersonActor, id: string): Promise<Submission> {
  return changeRead(on, actor, id, async (trx, stored) => {
    if (stored.openedAt === null) {
      await update(trx, stored, { openedAt: trx.now, openedBy: actor.personId })
      await noteAct(trx, actor, 'copy-opened', id)
      await tellOwner(trx, actor, stored, 'copy-opened')
    }
    return getSubmission(trx, actor, id)
  })
}

/**
 * Gives an outcome: acceptance with one level of the scale, or a request for changes with a sentence; feedback can be
 * sent along.
 */
export function answer(
  on: Writable,
  actor: PersonActor,
  id: string,
  { revision, outcome }: { readonly revision: number; readonly outcome: Outcome },
): Promise<Submission> {
  return changeRead(on, actor, id, async (trx, stored) => {
    assertAllowed(decideOutcome(stored, outcome.act), 'conflict')
    if (stored.revision !== revision) throw new AppError('stale', 'stale')
    const state = stateAfter(stored.state, outcome.act)
    if (state === null) throw new AppError('conflict', 'already-answered')
    const isAccepted = outcome.act === 'accept'
    const level = outcome.act === 'accept' ? await findLevel(trx, stored, outcome.levelId) : null
    const outcomeFeedbackId =
      outcome.act === 'accept' ? null : await saveRequest(trx, actor, stored, outcome.words)
    const feedbackWithOutcomeId = outcome.feedback
      ? await saveFeedback(trx, actor, stored, outcome.feedback)
      : null
    const action = isAccepted ? 'work-accepted' : 'changes-asked'
    const outcomeNewsId = await tellOwner(trx, actor, stored, action)
    await update(trx, stored, {
      ...{ state, level, outcomeNewsId, outcomeFeedbackId, feedbackWithOutcomeId },
      ...{ decidedAt: trx.now, decidedBy: actor.personId },
    })
    await noteAct(trx, actor, action, id)
    return getSubmission(trx, actor, id)
  })
}

/** Undoes an outcome within its time limit, for the student, too, and returns what was written. */
export function undoAnswer(on: Writable, actor: PersonActor, id: string): Promise<UndoneOutcome> {
  return changeRead(on, actor, id, async (trx, stored) => {
    assertAllowed(decideUndoOutcome(stored, actor.personId, trx.now), 'conflict')
    const state = stateAfter(stored.state, 'undo')
    if (state === null) throw new AppError('conflict', 'nothing-to-undo')
    if (stored.outcomeNewsId !== null) await forgetNews(trx, stored.ownerId, stored.outcomeNewsId)
    const request = await takeFeedback(trx, stored.outcomeFeedbackId)
    const feedback = await takeFeedback(trx, stored.feedbackWithOutcomeId)
    const outcome = stored.level
      ? { act: 'accept' as const, levelId: stored.level.level.id }
      : { act: 'ask-for-changes' as const, words: request?.text ?? '' }
    const cleared = { level: null, outcomeNewsId: null, outcomeFeedbackId: null, feedbackWithOutcomeId: null }
    await update(trx, stored, { state, ...cleared, decidedAt: null, decidedBy: null })
    await noteAct(trx, actor, 'answer-undone', id)
    return {
      submission: await getSubmission(trx, actor, id),
      outcome: { ...outcome, ...(feedback && { feedback }) },
    }
  })
}

/** Lists the feedback on a submission and on those before it, oldest first. */
export async function listFeedback(reader: Reader, actor: PersonActor, id: string): Promise<Feedback[]> {
  await getStoredSubmission(reader, actor, id)
  return (await listFeedbackOn(reader, actor, [id])).map(untied)
}

/** Lists the feedback on a page: all of it for its author, open feedback for other viewers. */
export async function listPageFeedback(
  reader: Reader,
  call: Parameters<typeof findViewer>[0] & { readonly actor: PersonActor },
  pageId: string,
) {
  const seen = await findSeenPage(reader, await findViewer(call), pageId)
  if (!seen) throw new AppError('not-found', 'not-found')
  const { actor } = call
  if (seen.ownerId !== actor.personId)
    return { submissions: [], feedback: await listOpenFeedback(reader, actor, pageId) }
  const holding = await listOwnWith(reader, actor, pageId)
  const parts = new Map(holding.map(({ id, partN }) => [id, partN]))
  const submissions = holding.map(({ partN: _, ...submission }) => submission)
  const said = await listFeedbackOn(
    reader,
    actor,
    submissions.map(({ id }) => id),
  )
  return {
    submissions,
    feedback: said
      .filter(({ submissionId, part }) => part === null || parts.get(submissionId) === part)
      .map(untied),
  }
}

export function addFeedback(
  on: Writable,
  actor: PersonActor,
  id: string,
  wish: NewFeedback,
): Promise<Feedback[]> {
  return inTransaction(on, async (trx) => {
    const stored = await getStoredSubmission(trx, actor, id)
    const isMine = stored.ownerId === actor.personId
    if (!isMine && stored.openedAt === null) throw new AppError('conflict', 'open-it-first')
    await saveFeedback(trx, actor, stored, wish)
    if (isMine)
      for (const assessor of await listAssessors(trx, stored.classId))
        await tellNews(trx, await newsOf(trx, actor, stored, 'feedback-given', assessor.id))
    else await tellOwner(trx, actor, stored, 'feedback-given')
    return listFeedback(trx, actor, id)
  })
}

/** @returns the id of the feedback */
async function saveFeedback(
  trx: Trx,
  actor: PersonActor,
  { id }: StoredSubmission,
  wish: NewFeedback,
): Promise<string> {
  const parts = await listParts(trx, id)
  const part = wish.part === null ? null : parts.find(({ n }) => n === wish.part)
  if (part === undefined) throw new AppError('not-found', 'not-found')
  // Only a page has readers of its own who could read along.
  if (wish.isOpen && part?.kind !== 'page') throw new AppError('conflict', 'only-private-here')
  const text = neededText(wish.text, '/text')
  const thingId = wish.isOpen ? (part?.thingId ?? null) : null
  const authorId = actor.personId
  return insertFeedback(trx, { ...wish, text, submissionId: id, authorId, thingId, isRequest: false })
}

function saveRequest(trx: Trx, actor: PersonActor, { id }: StoredSubmission, words: string): Promise<string> {
  const text = neededText(words, '/words')
  const shared = { part: null, isOpen: false, thingId: null, isRequest: true }
  return insertFeedback(trx, { ...shared, text, submissionId: id, authorId: actor.personId })
}

function neededText(text: string, path: string): string {
  const trimmed = text.trim()
  if (trimmed === '')
    throw new AppError('invalid', 'invalid-input', { fields: [{ path, reason: 'missing' }] })
  return trimmed
}

/** Stores a level with the name that it had when it was given. */
async function findLevel(trx: Trx, stored: StoredSubmission, levelId: string): Promise<ReceivedLevel> {
  const [assignment] = await listAssignmentsById(trx, [stored.assignmentId])
  const scale = assignment?.scale ?? []
  const at = scale.findIndex(({ id }) => id === levelId)
  const level = scale[at]
  if (!level) throw new AppError('conflict', 'no-such-level')
  return { level, position: at + 1, of: scale.length }
}

async function update(
  trx: Trx,
  stored: StoredSubmission,
  columns: Parameters<typeof updateSubmission>[2],
): Promise<void> {
  if (!(await updateSubmission(trx, stored, columns))) throw new AppError('stale', 'stale')
}

type OwnerNewsKind = Extract<
  NewsToTell['kind'],
  'copy-opened' | 'changes-asked' | 'work-accepted' | 'feedback-given'
>

async function tellOwner(
  trx: Trx,
  actor: PersonActor,
  stored: StoredSubmission,
  kind: OwnerNewsKind,
): Promise<string> {
  return tellNews(trx, await newsOf(trx, actor, stored, kind, stored.ownerId))
}

async function newsOf(
  trx: Trx,
  actor: PersonActor,
  { id, title }: { readonly id: string; readonly title: Localized },
  kind: OwnerNewsKind,
  personId: string,
): Promise<NewsToTell> {
  const names = await listShownNames(trx, [actor.personId])
  const by = names.get(actor.personId) ?? ''
  return { personId, kind, params: { submissionId: id, title, by } }
}

function untied({ submissionId: _, ...feedback }: Feedback & { readonly submissionId: string }): Feedback {
  return feedback
}

function noteAct(trx: Trx, actor: PersonActor, action: RecordAction, id: string): Promise<void> {
  return appendRecord(trx, actor, { action, subject: 'submission', subjectId: id })
}
