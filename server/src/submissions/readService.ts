// Reading submissions: what became of one, its sealed parts, and what changed since.
import type { PersonActor } from '@valise/core/people'
import type { PageChange, ShownDocument } from '@valise/core/pages'
import { AppError } from '@valise/core/problems'
import { decideTakeBack, decideUndoOutcome } from '@valise/core/submissions'
import type { SealedPart, Submission } from '@valise/core/submissions'
import { findViewer } from '../access/index.ts'
import { listAssignmentsById } from '../assignments/index.ts'
import type { Reader } from '../database/index.ts'
import type { FileStore } from '../files/index.ts'
import { comparePages } from '../pages/index.ts'
import { listShownNames } from '../people/index.ts'
import type { SubmissionServices } from './services.ts'
import { partStoreOf } from './parts/partStores.ts'
import { listAssessorNames } from './assessorStore.ts'
import { listOwnFiles, prepareParts } from './goingParts.ts'
import { partPath, toShownHtml } from './sealedHtml.ts'
import { findFile, listParts, listPinned } from './sealedStore.ts'
import type { PinnedPart, SealedFileRow } from './sealedStore.ts'
import { findPrevious, findSubmission, toSubmissionRow } from './submissionStore.ts'
import type { StoredSubmission } from './submissionStore.ts'

/** @throws AppError `not-found` without access, as for a missing one */
export async function getStoredSubmission(
  reader: Reader,
  actor: PersonActor,
  id: string,
  part: 'both' | 'owner' | 'assessor' = 'both',
): Promise<StoredSubmission> {
  const found = await findSubmission(reader, actor, id, part)
  if (!found) throw new AppError('not-found', 'not-found')
  return found
}

export async function getSubmission(reader: Reader, actor: PersonActor, id: string): Promise<Submission> {
  const stored = await getStoredSubmission(reader, actor, id)
  const [assignment] = await listAssignmentsById(reader, [stored.assignmentId])
  const files = listOwnFiles(await listPinned(reader, id))
  const people = [stored.openedBy, stored.decidedBy].filter((one) => one !== null)
  const names = await listShownNames(reader, people)
  const nameOf = (personId: string | null) => (personId === null ? null : (names.get(personId) ?? null))
  const isMine = stored.ownerId === actor.personId
  const { dueAt, readiness, manifestSha256, revision } = stored
  return {
    ...toSubmissionRow(stored),
    ...{ isMine, dueAt, readiness, manifestSha256, revision },
    partList: await listParts(reader, id),
    scale: assignment?.scale ?? [],
    files: files.length,
    bytes: files.reduce((sum, { bytes }) => sum + bytes, 0),
    assessors: await listAssessorNames(reader, stored.classId),
    openedByName: nameOf(stored.openedBy),
    decidedByName: nameOf(stored.decidedBy),
    previousId: await findPrevious(reader, stored),
    mayTakeBack: isMine && decideTakeBack(stored).allowed,
    mayUndo: !isMine && decideUndoOutcome(stored, actor.personId, reader.now).allowed,
  }
}

/** Returns a submission whose copy the reader may read: an assessor has to open it first, so that this is recorded. */
export async function getOpened(reader: Reader, actor: PersonActor, id: string): Promise<StoredSubmission> {
  const stored = await getStoredSubmission(reader, actor, id)
  if (stored.ownerId !== actor.personId && stored.openedAt === null)
    throw new AppError('conflict', 'open-it-first')
  return stored
}

/** Returns one part as it was sealed, from the bytes of the copy, and what has changed since. */
export async function getSealedPart(
  call: Parameters<typeof findViewer>[0] & {
    readonly actor: PersonActor
    readonly services: SubmissionServices
  },
  { id, n }: { readonly id: string; readonly n: number },
): Promise<SealedPart> {
  const { actor, reader, services } = call
  const { files, workers } = services
  const compare: Compare = (before, after) =>
    comparePages(workers, { lane: 'requests', personId: actor.personId }, before, after)
  const stored = await getOpened(reader, actor, id)
  const part = (await listPinned(reader, id)).find((one) => one.n === n)
  const file = await findFile(reader, id, partPath(n, 'index.html'))
  if (!part || !file) throw new AppError('not-found', 'not-found')
  const html = (await readAll(files, file)).toString('utf8')
  const { kind, thingId, title, copy, document } = part
  return {
    ...{ n, kind, thingId, title, copy, lang: document.lang },
    html: toShownHtml(html, id),
    fromPrevious: await changesFromPrevious(reader, compare, stored, part),
    ...(stored.ownerId === actor.personId
      ? await changesInDraft(reader, compare, actor, part)
      : await changesInPublished(reader, compare, call, part)),
  }
}

/** What is new against the hand-in before, where that held the same thing. */
async function changesFromPrevious(
  reader: Reader,
  compare: Compare,
  stored: StoredSubmission,
  part: PinnedPart,
): Promise<PageChange[] | null> {
  const previousId = await findPrevious(reader, stored)
  if (previousId === null) return null
  const before = (await listPinned(reader, previousId)).find(({ thingId }) => thingId === part.thingId)
  return before ? compare(before, part) : null
}

type Compare = (before: ShownDocument, after: ShownDocument) => Promise<PageChange[]>
type Since = Pick<SealedPart, 'since' | 'changes'>

async function changesInDraft(
  reader: Reader,
  compare: Compare,
  actor: PersonActor,
  part: PinnedPart,
): Promise<Since> {
  const wish = { kind: part.kind, id: part.thingId, isIn: true, copy: 'draft' as const }
  const [present] = await prepareParts(reader, actor, [wish])
  return compared(compare, part, present?.contents ?? null)
}

/** An assessor compares with what is published, as far as it is open to them; drafts are their author's alone. */
async function changesInPublished(
  reader: Reader,
  compare: Compare,
  call: Parameters<typeof findViewer>[0],
  part: PinnedPart,
): Promise<Since> {
  const viewer = await findViewer(call)
  const seen = await partStoreOf(part.kind).findForOthers(reader, viewer, part.thingId)
  if (!seen) return { since: 'unseen', changes: [] }
  return compared(compare, part, seen.published)
}

async function compared(
  compare: Compare,
  sealed: ShownDocument,
  present: ShownDocument | null,
): Promise<Since> {
  if (!present) return { since: 'gone', changes: [] }
  const changes = await compare(sealed, present)
  return { since: changes.length === 0 ? 'same' : 'changed', changes }
}

/** Returns a picture or file of a sealed copy. */
export async function getSealedFile(
  reader: Reader,
  actor: PersonActor,
  id: string,
  name: string,
): Promise<SealedFileRow> {
  await getOpened(reader, actor, id)
  const file = await findFile(reader, id, `files/${name}`)
  if (!file) throw new AppError('not-found', 'not-found')
  return file
}

/** Returns the proof for the student: the signed receipt and the manifest that it names. */
export async function getReceipt(
  {
    reader,
    files,
    publicKey,
  }: { readonly reader: Reader; readonly files: FileStore; readonly publicKey: string },
  actor: PersonActor,
  id: string,
): Promise<{ receipt: string; signature: string; publicKey: string; manifest: string }> {
  const { receipt, signature } = await getStoredSubmission(reader, actor, id, 'owner')
  const manifest = await findFile(reader, id, 'manifest.json')
  if (receipt === null || signature === null || !manifest) throw new AppError('not-found', 'not-found')
  return { receipt, signature, publicKey, manifest: (await readAll(files, manifest)).toString('utf8') }
}

async function readAll(files: FileStore, { fileSha256, bytes }: SealedFileRow): Promise<Buffer> {
  if (bytes === 0) return Buffer.alloc(0)
  const chunks: Buffer[] = []
  for await (const chunk of await files.open(fileSha256)) chunks.push(Buffer.from(chunk))
  return Buffer.concat(chunks)
}
