// Handing in: the choice of parts, its readiness, the act itself, and taking it back.
import type { PageDocument } from '@valise/core/pages'
import type { Actor, PersonActor } from '@valise/core/people'
import { AppError, assertAllowed } from '@valise/core/problems'
import type { Decision } from '@valise/core/problems'
import { computeReadiness, decideHandIn, decideTakeBack, gapsOf, stateAfter } from '@valise/core/submissions'
import type { ChosenPart, HandIn, HandingIn, SubmissionRow } from '@valise/core/submissions'
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
import { insertFiles, insertParts, listVersionFiles } from './sealedStore.ts'
import type { FileToSeal, PinnedPart, VersionFile } from './sealedStore.ts'
import {
  findSubmission,
  insertSubmission,
  listLatest,
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

/** Pins what goes in, and has it sealed. @returns the id of the submission */
export async function pin(
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

export async function prepare(
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

export function noteAct(
  trx: Trx,
  actor: Actor,
  action: 'handed-in' | 'handed-in-by-itself' | 'hand-in-failed' | 'taken-back',
  id: string,
): Promise<void> {
  return appendRecord(trx, actor, { action, subject: 'submission', subjectId: id })
}
