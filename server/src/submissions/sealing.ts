// Sealing, as a job: writes the copy into the file store, then the manifest, then number and signed receipt.
import { handOutsOf } from '@valise/core/pages'
import { toCanonicalJson, toManifest, toReceiptNumber, toReceiptText } from '@valise/core/submissions'
import type { JsonValue, SealedFile } from '@valise/core/submissions'
import { stateAfter } from '@valise/core/submissions'
import { systemActor } from '@valise/core/people'
import { addMinutes, minutesBetween } from '@valise/core/time'
import type { Instant } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { tellNews } from '../news/index.ts'
import { streamOf } from '../files/index.ts'
import type { FileStore } from '../files/index.ts'
import type { JobHandler } from '../jobs/index.ts'
import { getSchool } from '../people/index.ts'
import { appendRecord } from '../records/index.ts'
import { inOwnersTransaction } from '../things/index.ts'
import type { SubmissionServices } from './services.ts'
import { filesOf } from './goingParts.ts'
import { toSealedFiles } from './handInService.ts'
import { SEAL } from './jobNames.ts'
import { PAPER_CSS, partPath, renderSealedPart } from './sealedHtml.ts'
import {
  insertFiles,
  listFiles,
  listInTheMaking,
  listPinned,
  listVersionFiles,
  updateShown,
} from './sealedStore.ts'
import type { PinnedPart, SealedFileRow } from './sealedStore.ts'
import { findForSealing, findPrevious, nextNumber, updateSubmission } from './submissionStore.ts'
import type { StoredSubmission } from './submissionStore.ts'

/** How long sealing waits for pictures that are still being made, and how soon it looks again. */
const PATIENCE_MINUTES = 10
const LOOK_AGAIN_MINUTES = 1 / 30

const sealer = systemActor('sealing')

/** What is still to be sealed; null where it was taken back meanwhile, or sealed already. */
async function findToSeal(reader: Reader, id: string): Promise<StoredSubmission | null> {
  const found = await findForSealing(reader, id)
  return found?.state === 'sealing' ? found : null
}

export function submissionJobs(services: SubmissionServices): Readonly<Record<string, JobHandler>> {
  return {
    [SEAL]: {
      run: ({ submissionId }) => seal(services, String(submissionId)),
      giveUp: ({ submissionId }) => giveUp(services, String(submissionId)),
    },
  }
}

/**
 * Seals a submission. Idempotent: one that is sealed or taken back stays as it is.
 *
 * @returns when to retry, while pictures are still being rendered
 */
export async function seal(services: SubmissionServices, id: string): Promise<Instant | void> {
  const { database, files } = services
  const reader = database.reader()
  const submission = await findToSeal(reader, id)
  // Taken back meanwhile, or sealed by another server.
  if (!submission) return
  const isPatient = minutesBetween(submission.requestedAt, reader.now) < PATIENCE_MINUTES
  if (isPatient && (await hasInTheMaking(reader, id))) return addMinutes(reader.now, LOOK_AGAIN_MINUTES)
  const { ownerId } = submission
  await inOwnersTransaction(database, ownerId, (trx) => takeInLatePictures(trx, submission))
  const parts = await listPinned(database.reader(), id)
  const written = await writeCopy(services, submission, parts)
  const all = [...(await listFiles(database.reader(), id)).filter(isContent), ...written]
  const manifest = toManifest(all.map(toSealedFile))
  const stored = await writeText(files, 'manifest.json', 'application/json', manifest)
  await inOwnersTransaction(database, ownerId, (trx) =>
    finish(trx, services, { submission, parts, all, manifest: stored }),
  )
}

/** What was written by an earlier, unfinished try is written again. */
function isContent({ path }: SealedFileRow): boolean {
  return path.startsWith('files/')
}

async function hasInTheMaking(reader: Reader, id: string): Promise<boolean> {
  const missing = (await listPinned(reader, id)).flatMap(picturesWithout)
  const making = await listInTheMaking(
    reader,
    missing.map(({ evidenceId }) => evidenceId),
  )
  return missing.some((one) =>
    making.some(({ evidenceId, n }) => evidenceId === one.evidenceId && n === one.n),
  )
}

/** Pictures that had no rendition yet when they were handed in. */
function picturesWithout({ document, shown }: PinnedPart) {
  return handOutsOf(document, shown)
    .filter(({ handOut }) => !handOut.isMade)
    .map(({ handOut: { item } }) => ({ evidenceId: item.id, n: item.n }))
}

async function takeInLatePictures(trx: Trx, { id, ownerId }: StoredSubmission): Promise<void> {
  for (const part of await listPinned(trx, id)) {
    const missing = picturesWithout(part)
    if (missing.length === 0) continue
    const versions = await listVersionFiles(
      trx,
      ownerId,
      missing.map(({ evidenceId }) => evidenceId),
    )
    const isMade = (wanted: { evidenceId: string; n: number }) =>
      versions.some(
        ({ evidenceId, n, what }) => what === 'screen' && evidenceId === wanted.evidenceId && n === wanted.n,
      )
    const made = missing.filter(isMade)
    const evidence = Object.fromEntries(
      Object.entries(part.shown.evidence).map(([key, item]) => [
        key,
        made.some(({ evidenceId, n }) => evidenceId === item.id && n === item.n)
          ? { ...item, hasPicture: true }
          : item,
      ]),
    )
    const shown = { ...part.shown, evidence }
    await updateShown(trx, id, part.n, shown)
    await insertFiles(trx, id, toSealedFiles(filesOf({ document: part.document, shown }), versions))
  }
}

/** Everything of the copy that is text: what it is, how it looks, and each part as data and as a page. */
async function writeCopy(
  { files, paperCss }: SubmissionServices,
  submission: StoredSubmission,
  parts: readonly PinnedPart[],
): Promise<SealedFileRow[]> {
  const facts = toFacts(submission, parts)
  const written = [
    await writeText(files, 'submission.json', 'application/json', toCanonicalJson(facts)),
    await writeText(files, PAPER_CSS, 'text/css', paperCss()),
  ]
  for (const part of parts) {
    const { document, shown, statements } = part
    // What came out of a column as JSON goes into the copy as JSON.
    const data = { document, shown, statements } as unknown as JsonValue
    written.push(
      await writeText(files, partPath(part.n, 'document.json'), 'application/json', toCanonicalJson(data)),
      await writeText(files, partPath(part.n, 'index.html'), 'text/html', renderSealedPart(part)),
    )
  }
  return written
}

function toFacts(submission: StoredSubmission, parts: readonly PinnedPart[]): JsonValue {
  const { id, n, requestedAt, dueAt, lateMinutes, asHandedIn, terms, title } = submission
  const { className, classCode, ownerName, ownerFullName, assignmentId } = submission
  const facts = {
    ...{ schema: 1, id, n, requestedAt, dueAt, lateMinutes, ...asHandedIn, terms },
    ...(submission.byItself && { byItself: true }),
    ...(submission.cameAt !== null && { cameAt: submission.cameAt }),
    from: { shownName: ownerName, fullName: ownerFullName },
    to: { assignmentId, assignment: title, className, classCode },
    parts: parts.map(({ n: place, kind, thingId, title: name, copy }) => ({
      ...{ n: place, kind, thingId, title: name, copy },
    })),
  }
  // All of it was read from JSON or is text.
  return facts as unknown as JsonValue
}

async function writeText(files: FileStore, path: string, mime: string, text: string): Promise<SealedFileRow> {
  const { sha256, bytes } = await files.put(streamOf(Buffer.from(text)))
  return { path, fileSha256: sha256, bytes, mime }
}

interface WrittenCopy {
  readonly submission: StoredSubmission
  readonly parts: readonly PinnedPart[]
  readonly all: readonly SealedFileRow[]
  readonly manifest: SealedFileRow
}

async function finish(
  trx: Trx,
  { keys }: SubmissionServices,
  { submission, parts, all, manifest }: WrittenCopy,
): Promise<void> {
  const present = await findToSeal(trx, submission.id)
  const state = stateAfter(submission.state, 'seal')
  if (!present || state === null) return
  const { prefix, count } = await nextNumber(trx)
  const number = toReceiptNumber(prefix, count)
  const { name: school } = await getSchool(trx)
  const { n, requestedAt, dueAt, lateMinutes, terms, readiness, className, classCode } = present
  const receipt = toReceiptText({
    ...{ number, school, n, requestedAt, sealedAt: trx.now, dueAt, lateMinutes, parts, terms },
    ...(present.byItself && { byItself: true as const }),
    ...(present.cameAt !== null && { cameAt: present.cameAt }),
    from: { shownName: present.ownerName, fullName: present.ownerFullName },
    to: { className, classCode, assignment: present.title },
    gaps: readiness.filter(({ result }) => !result.isThere).map(({ requirement }) => requirement.id),
    files: all.length,
    bytes: all.reduce((sum, { bytes }) => sum + bytes, 0),
    manifestSha256: manifest.fileSha256,
  })
  await insertFiles(trx, present.id, [...all, manifest])
  const columns = { state, number, sealedAt: trx.now, receipt, signature: keys.sign(receipt) }
  // Nobody else changes what is being sealed but by taking it back, after which it is not found above.
  if (!(await updateSubmission(trx, present, { ...columns, manifestSha256: manifest.fileSha256 })))
    throw new Error('a submission changed while it was sealed')
  await replaceEarlier(trx, present)
  await appendRecord(trx, sealer, { action: 'copy-sealed', subject: 'submission', subjectId: present.id })
  const params = { ...namesOf(present), number }
  await tellNews(trx, { personId: present.ownerId, kind: 'copy-sealed', params })
}

/** Once the new one is sealed, the one that changes were asked for gives way to it. */
async function replaceEarlier(trx: Trx, submission: StoredSubmission): Promise<void> {
  const earlierId = await findPrevious(trx, submission)
  if (earlierId === null) return
  const earlier = await findForSealing(trx, earlierId)
  const state = earlier && stateAfter(earlier.state, 'replace')
  if (earlier && state) await updateSubmission(trx, earlier, { state })
}

/** After the last try: the student must not be left believing that it was handed in. */
async function giveUp({ database }: SubmissionServices, id: string): Promise<void> {
  await inTransaction(database, async (trx) => {
    const submission = await findToSeal(trx, id)
    const state = submission && stateAfter(submission.state, 'fail')
    if (!submission || !state || !(await updateSubmission(trx, submission, { state }))) return
    await appendRecord(trx, sealer, { action: 'sealing-failed', subject: 'submission', subjectId: id })
    const params = namesOf(submission)
    await tellNews(trx, { personId: submission.ownerId, kind: 'sealing-failed', params })
  })
}

/** What news about a submission name. */
function namesOf({ id, assignmentId, title }: StoredSubmission) {
  return { submissionId: id, assignmentId, title }
}

function toSealedFile({ path, fileSha256: sha256, bytes }: SealedFileRow): SealedFile {
  return { path, bytes, sha256 }
}
