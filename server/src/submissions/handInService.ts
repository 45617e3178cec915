// Handing in: the choice of parts, its readiness, the act itself, and taking it back.
import { isSame } from '@valise/core/json'
import type { PageDocument, ShownDocument } from '@valise/core/pages'
import { systemActor } from '@valise/core/people'
import type { Actor, PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import type { Decision } from '@valise/core/problems'
import { computeReadiness, decideHandIn, decideTakeBack, gapsOf, stateAfter } from '@valise/core/submissions'
import type { ChosenPart, HandIn, HandingIn, SubmissionRow, SubmissionState } from '@valise/core/submissions'
import { itemsGoing } from '@valise/core/assignments'
import type { Assignment, CheckedRequirement, Facts } from '@valise/core/assignments'
import { minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { getAssignment } from '../assignments/index.ts'
import type { Reader, Trx, Writable } from '../database/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { appendRecord } from '../records/index.ts'
import { inOwnersTransaction } from '../things/index.ts'
import { listAssessorNames } from './assessorStore.ts'
import { countOwnParts, insertChoice, listChoices, replaceParts } from './choiceStore.ts'
import type { Choice } from './choiceStore.ts'
import { loadFacts, loadStatementDocuments, loadStatements } from './facts.ts'
import { filesOf, goingOf, listOwnFiles, prepareParts } from './goingParts.ts'
import type { PreparedPart } from './goingParts.ts'
import { SEAL } from './jobNames.ts'
import { insertFiles, insertParts, listPinned, listVersionFiles } from './sealedStore.ts'
import type { FileToSeal, PinnedPart, VersionFile } from './sealedStore.ts'
import {
  findSubmission,
  insertSubmission,
  listLatest,
  notePinned,
  toSubmissionRow,
  updateSubmission,
} from './submissionStore.ts'
import type { StoredSubmission } from './submissionStore.ts'

/** @throws AppError `not-found` for people who are not students of its class now */
export async function getHandIn(reader: Reader, actor: PersonActor, assignmentId: string): Promise<HandIn> {
  const { assignment, choice, parts, going, readiness, latest, decision } = await prepare(
    reader,
    actor,
    assignmentId,
  )
  const files = listOwnFiles(going.parts)
  return {
    assignment,
    parts: parts.map(toListed),
    revision: choice?.revision ?? 0,
    readiness,
    items: itemsGoing(going).map(({ id, title }) => ({ id, title })),
    totals: {
      parts: going.parts.length,
      pieces: parts.reduce((sum, { goesIn, pieces }) => sum + (goesIn ? pieces : 0), 0),
      files: files.length,
      bytes: files.reduce((sum, { bytes }) => sum + bytes, 0),
    },
    assessors: await listAssessorNames(reader, assignment.classId),
    latest: latest && toSubmissionRow(latest),
    decision: toAnswer(decision),
  }
}

/** Saves the whole list of parts; revision 0 means that there is no choice yet. */
export function changeChoice(
  on: Writable,
  actor: PersonActor,
  assignmentId: string,
  { revision, parts }: { readonly revision: number; readonly parts: readonly ChosenPart[] },
): Promise<HandIn> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const { guideId } = await getAssignment(trx, actor, assignmentId, 'student')
    // What is handed in of a guide is the copy, with what it asks for.
    if (guideId !== null) throw new AppError('conflict', 'guide-chooses')
    const listed = parts.filter(({ id }, at) => parts.findIndex((one) => one.id === id) === at)
    if ((await countOwnParts(trx, actor, listed)) !== listed.length)
      throw new AppError('not-found', 'not-found')
    const [found] = await listChoices(trx, actor, [assignmentId])
    if ((found?.revision ?? 0) !== revision) throw new AppError('stale', 'stale')
    const choice = found ?? (await insertChoice(trx, actor, assignmentId))
    if (!(await replaceParts(trx, choice, listed))) throw new AppError('stale', 'stale')
    return getHandIn(trx, actor, assignmentId)
  })
}

/**
 * Hands in the chosen parts: their content is pinned now, and a job seals it. Lateness counts from now.
 *
 * @throws AppError `conflict` when it cannot be handed in, or when what the student saw is no longer true
 */
export function handIn(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  assignmentId: string,
  { revision, seen }: { readonly revision: number; readonly seen: HandingIn },
): Promise<SubmissionRow> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const prepared = await prepare(trx, actor, assignmentId)
    const { assignment, choice, readiness, decision } = prepared
    assertAllowed(decision, 'conflict')
    const gaps = gapsOf(readiness).map(({ requirement }) => requirement.id)
    const isAsSeen = choice?.revision === revision && isSameSet(gaps, seen.gaps)
    if (!isAsSeen) throw new AppError('conflict', 'readiness-changed')
    if (seen.terms !== assignment.terms.length) throw new AppError('conflict', 'terms-open')
    const id = await pin(trx, jobs, actor, prepared, {
      ...{ requestedAt: trx.now, byItself: false, cameAt: null },
    })
    return toSubmissionRow(await getOwn(trx, actor, id))
  })
}

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
 * @returns whether something was handed in
 */
export function handInWhatCame(
  on: Writable,
  jobs: Jobs,
  actor: PersonActor,
  assignmentId: string,
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
    await pin(trx, jobs, actor, prepared, { requestedAt, byItself: true, cameAt: trx.now })
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

/** Pins what goes in, and has it sealed. @returns the id of the submission */
async function pin(
  trx: Trx,
  jobs: Jobs,
  actor: PersonActor,
  { assignment, parts, going, readiness, latest }: Prepared,
  when: Pick<StoredSubmission, 'requestedAt' | 'byItself' | 'cameAt'>,
): Promise<string> {
  const { id: assignmentId, dueAt, terms } = assignment
  // What is handed in by itself is never late: where its due time was moved, that was not the student's doing.
  const isInTime = dueAt === null || when.byItself
  const late = isInTime ? 0 : Math.max(0, Math.ceil(minutesBetween(dueAt, when.requestedAt)))
  const said = await loadStatements(trx, actor, going.parts)
  const pinned = toPinned(parts, said, await loadStatementDocuments(trx, actor, going.parts))
  const id = await insertSubmission(trx, {
    ...{ assignmentId, ownerId: actor.personId, n: (latest?.n ?? 0) + 1, dueAt, lateMinutes: late },
    ...{ readiness, terms, gaps: gapsOf(readiness).length, parts: pinned.length, ...when },
    state: 'sealing',
  })
  await insertParts(trx, id, pinned)
  await insertFiles(trx, id, await listFilesGoing(trx, actor, parts))
  await noteAct(trx, actor, when.byItself ? 'handed-in-by-itself' : 'handed-in', id)
  const job = { kind: SEAL, payload: { submissionId: id }, dedupeKey: `${SEAL} ${id}` }
  await jobs.enqueue(trx, { ...job, personId: actor.personId })
  return id
}

/** Takes back a submission that nobody has opened. */
export function takeBack(on: Writable, actor: PersonActor, id: string): Promise<SubmissionRow> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const submission = await getOwn(trx, actor, id)
    // Asked again, by a second press or by whoever missed the answer.
    if (submission.state === 'taken-back') return toSubmissionRow(submission)
    assertAllowed(decideTakeBack(submission), 'conflict')
    const state = stateAfter(submission.state, 'take-back')
    if (state === null || !(await updateSubmission(trx, submission, { state })))
      throw new AppError('stale', 'stale')
    await noteAct(trx, actor, 'taken-back', id)
    return toSubmissionRow(await getOwn(trx, actor, id))
  })
}

interface Prepared {
  readonly assignment: Assignment
  readonly choice: Choice | null
  readonly parts: readonly PreparedPart[]
  readonly going: Facts
  readonly readiness: CheckedRequirement[]
  readonly latest: StoredSubmission | null
  readonly decision: Decision
}

async function prepare(
  reader: Reader,
  actor: PersonActor,
  assignmentId: string,
  asOf: Instant | null = null,
): Promise<Prepared> {
  const assignment = await getAssignment(reader, actor, assignmentId, 'student')
  const [choice = null] = await listChoices(reader, actor, [assignmentId])
  const [latest = null] = await listLatest(reader, actor, [assignmentId])
  const parts = await prepareParts(reader, actor, choice?.parts ?? [], asOf)
  const going = await loadFacts(reader, actor, goingOf(parts), assignment.requirements)
  const readiness = computeReadiness(assignment.requirements, going)
  const missingMusts = gapsOf(readiness).filter(({ requirement }) => requirement.weight === 'must').length
  const decision = decideHandIn(latest, assignment, { parts: going.parts.length, missingMusts })
  return { assignment, choice, parts, going, readiness, latest, decision }
}

/** The files that go along, each once, as far as they are there already. */
async function listFilesGoing(
  reader: Reader,
  actor: PersonActor,
  parts: readonly PreparedPart[],
): Promise<FileToSeal[]> {
  const wanted = parts.flatMap(({ goesIn, contents }) => (goesIn && contents ? filesOf(contents) : []))
  const versions = await listVersionFiles(
    reader,
    actor.personId,
    wanted.map(({ evidenceId }) => evidenceId),
  )
  return toSealedFiles(wanted, versions)
}

/** Matches the files that a copy needs with the stored bytes. */
export function toSealedFiles(
  wanted: readonly ReturnType<typeof filesOf>[number][],
  versions: readonly VersionFile[],
): FileToSeal[] {
  const files = wanted.flatMap(({ path, evidenceId, n, what }) => {
    const found = versions.find((one) => one.evidenceId === evidenceId && one.n === n && one.what === what)
    if (!found) return []
    const { fileSha256, bytes, mime } = found
    return [{ path, fileSha256, bytes, mime, evidenceId, evidenceN: n }]
  })
  return files.filter(({ path }, at) => files.findIndex((one) => one.path === path) === at)
}

function toPinned(
  parts: readonly PreparedPart[],
  said: Facts['statements'],
  documents: ReadonlyMap<string, PageDocument>,
): PinnedPart[] {
  const goingIn = parts.flatMap((part) =>
    part.goesIn && part.contents ? [{ ...part, ...part.contents }] : [],
  )
  return goingIn.map(({ kind, id, title, copyGoing, document, shown }, at) => {
    const items = itemsGoing({ parts: [{ kind, title, document, shown }] })
    const statements = items.flatMap((item) => {
      const text = said.get(item.id) ?? ''
      const written = documents.get(item.id)
      const statement = { id: item.id, title: item.title, text, ...(written && { document: written }) }
      return text === '' ? [] : [statement]
    })
    return { n: at + 1, kind, thingId: id, title, copy: copyGoing, document, shown, statements }
  })
}

async function getOwn(reader: Reader, actor: PersonActor, id: string): Promise<StoredSubmission> {
  const found = await findSubmission(reader, actor, id, 'owner')
  if (!found) throw new AppError('not-found', 'not-found')
  return found
}

function toListed({ contents: _, copyGoing: __, ...part }: PreparedPart) {
  return part
}

function toAnswer(decision: Decision): HandIn['decision'] {
  return decision.allowed
    ? { allowed: true, reason: null, params: {} }
    : { allowed: false, reason: decision.reason, params: { ...decision.params } }
}

function isSameSet(a: readonly string[], b: readonly string[]): boolean {
  return a.length === b.length && a.every((one) => b.includes(one))
}

function noteAct(
  trx: Trx,
  actor: Actor,
  action: 'handed-in' | 'handed-in-by-itself' | 'hand-in-failed' | 'taken-back',
  id: string,
): Promise<void> {
  return appendRecord(trx, actor, { action, subject: 'submission', subjectId: id })
}
