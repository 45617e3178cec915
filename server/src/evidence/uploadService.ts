// Files on their way in: beginning, asking how far they are, finishing, giving up.
import { cleanFileName, decideUpload } from '@valise/core/evidence'
import type { Moment, Upload, UploadMetadata, Uploads } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { upgradeRecipe } from '@valise/core/pictures'
import type { PictureRecipe } from '@valise/core/pictures'
import { AppError } from '@valise/core/problems'
import type { ErrorCode, Reason } from '@valise/core/problems'
import { inTransaction } from '../database/index.ts'
import type { Reader } from '../database/index.ts'
import { ProcessBurst } from '../jobs/index.ts'
import { inOwnersTransaction } from '../things/index.ts'
import type { EvidenceServices } from './services.ts'
import { unexamined } from './examineFile.ts'
import type { Examined, FileToExamine } from './examineFile.ts'
import { saveFile } from './saveFile.ts'
import type { FileToSave } from './saveFile.ts'
import { findLanding } from './landingStore.ts'
import { saveFirstRecipe } from './recipeService.ts'
import { findEvidence } from './store.ts'
import * as store from './uploadStore.ts'
import { beginToSpeak } from './voiceService.ts'
import { sumOfBytes } from './versionStore.ts'

/** Room that stays free for the database and for what is worked on. */
const SPARE_BYTES = 268_435_456

export interface NewUpload {
  readonly id: string
  readonly bytes: number
  readonly metadata: UploadMetadata
  readonly recipe: PictureRecipe | null
  readonly moments: readonly Moment[]
}

/** Starts an upload. @throws AppError when the file is not allowed or there is no room for it */
export async function beginUpload(
  services: EvidenceServices,
  actor: PersonActor,
  { id, bytes, metadata, recipe, moments }: NewUpload,
): Promise<void> {
  await assertDiskHasRoom(services, bytes)
  await inOwnersTransaction(services.database, actor.personId, async (trx) => {
    await assertMayComeIn(trx, services, actor, bytes)
    const replaces = metadata.replaces ?? null
    if (replaces !== null) await assertCanBeReplaced(trx, actor, replaces)
    await store.insertUpload(trx, {
      id,
      ownerId: actor.personId,
      fileName: cleanFileName(metadata.filename),
      bytes,
      lastModified: metadata.lastModified ?? null,
      replaces,
      ...(await findLanding(trx, actor, metadata)),
      title: metadata.title ?? null,
      isMine: metadata.mine === 'yes' ? 1 : 0,
      durationMs: metadata.durationMs ?? null,
      recipe: recipe && JSON.stringify(recipe),
      aboutId: metadata.about ? await findAbout(trx, actor, metadata.about) : null,
      moments: JSON.stringify(moments),
    })
  })
}

/** @throws AppError when something of this size is not allowed or there is no room for it */
export async function assertRoomFor(
  services: EvidenceServices,
  actor: PersonActor,
  bytes: number,
): Promise<void> {
  await assertDiskHasRoom(services, bytes)
  await assertMayComeIn(services.database.reader(), services, actor, bytes)
}

async function assertDiskHasRoom({ files }: EvidenceServices, bytes: number): Promise<void> {
  const free = await files.freeBytes()
  if (free !== null && free < bytes + SPARE_BYTES) throw new AppError('no-space', 'no-space')
}

async function assertMayComeIn(
  reader: Reader,
  { config }: EvidenceServices,
  actor: PersonActor,
  bytes: number,
): Promise<void> {
  const open = await store.countOpenUploads(reader, actor)
  const usedBytes = (await sumOfBytes(reader, actor.personId)) + open.bytes
  const limits = { largest: config.largestFile, quota: config.quota }
  const decision = decideUpload({ bytes, usedBytes, openUploads: open.count }, limits)
  if (!decision.allowed) throw new AppError(codeOf(decision.reason), decision.reason, decision)
}

/** Returns what tus needs to know of an upload, whoever owns it; the caller has checked the owner. */
export async function getUploadState(
  { database, files }: EvidenceServices,
  id: string,
): Promise<{ bytes: number; received: number; startedAt: string }> {
  const row = await store.findUpload(database.reader(), id)
  if (!row) throw new AppError('not-found', 'not-found')
  const received = row.outcome === null ? await files.incoming.received(id) : row.bytes
  return { bytes: row.bytes, received, startedAt: row.startedAt }
}

export async function getUpload(
  reader: Reader,
  services: EvidenceServices,
  actor: PersonActor,
  id: string,
): Promise<Upload> {
  const row = await store.findOwnUpload(reader, actor, id)
  if (!row) throw new AppError('not-found', 'not-found')
  const received = row.outcome === null ? await services.files.incoming.received(id) : row.bytes
  return toUpload(row, received, row.itemTitle)
}

/** Lists the caller's unfinished uploads, so that they can be resumed, also from another window. */
export async function listUploads(
  reader: Reader,
  services: EvidenceServices,
  actor: PersonActor,
): Promise<Uploads> {
  const rows = await store.listOpenUploads(reader, actor)
  const open = await Promise.all(
    rows.map(async (row) => toUpload(row, await services.files.incoming.received(row.id), null)),
  )
  return { open, largest: services.config.largestFile }
}

/** Finishing a large file takes a while, in which a client that lost its line asks again: both wait for the same. */
const finishing = new Map<string, Promise<void>>()

/**
 * Makes evidence of a completed upload. Idempotent, also after a crash half-way.
 *
 * @throws AppError `conflict` when it was to replace an item of another kind; the upload is then cancelled
 */
export function finishUpload(services: EvidenceServices, actor: PersonActor, id: string): Promise<void> {
  const work = finishing.get(id) ?? finishOnce(services, actor, id).finally(() => finishing.delete(id))
  finishing.set(id, work)
  return work
}

async function finishOnce(services: EvidenceServices, actor: PersonActor, id: string): Promise<void> {
  const { database, files, jobs } = services
  const upload = await store.findOwnUpload(database.reader(), actor, id)
  if (!upload) throw new AppError('not-found', 'not-found')
  if (upload.outcome !== null) return
  const stored = await files.incoming.save(id)
  if (stored.bytes !== upload.bytes) throw new AppError('invalid', 'file-cut-off')
  const { fileName, replaces, classId, assignmentId, title, isMine, durationMs } = upload
  const examined = await examine(services, actor, { ...stored, fileName })
  try {
    await inOwnersTransaction(database, actor.personId, async (trx) => {
      if (!(await store.isStillOpen(trx, id))) return
      const file: FileToSave = {
        ...{ id, stored, examined, fileName, replaces, classId, assignmentId, durationMs, intoTray: true },
        ...(title !== null && { title }),
        ...(isMine === 1 && { rights: { state: 'mine' } }),
      }
      const { outcome, evidenceId } = await saveFile(trx, jobs, actor, file)
      if (upload.recipe !== null && outcome !== 'same')
        await saveFirstRecipe(trx, jobs, evidenceId, upgradeRecipe(JSON.parse(upload.recipe)))
      if (upload.aboutId !== null && outcome === 'new') {
        const over = { id: upload.aboutId, voiceId: evidenceId }
        await beginToSpeak(trx, actor, over, JSON.parse(upload.moments ?? '[]'))
      }
      await store.closeUpload(trx, id, outcome, evidenceId)
      trx.afterCommit(() => files.incoming.drop(id))
    })
  } catch (error) {
    // It would be refused however often it is tried, so nothing of it stays.
    if (error instanceof AppError && error.reason === 'other-kind') await cancelUpload(services, id)
    throw error
  }
}

/**
 * Examines a file that has just arrived. No file is refused because this fails.
 *
 * @returns null when it has to be examined later
 */
export async function examine(
  { workers, log }: EvidenceServices,
  actor: PersonActor,
  file: FileToExamine,
): Promise<Examined | null> {
  try {
    return await workers.run('examine', file, { lane: 'requests', personId: actor.personId })
  } catch (error) {
    log.failed(file.sha256, error)
    return error instanceof ProcessBurst ? unexamined : null
  }
}

export async function cancelUpload({ database, files }: EvidenceServices, id: string): Promise<void> {
  await inTransaction(database, async (trx) => {
    await store.deleteUpload(trx, id)
    trx.afterCommit(() => files.incoming.drop(id))
  })
}

function codeOf(reason: Reason): ErrorCode {
  if (reason === 'file-too-large') return 'too-large'
  if (reason === 'quota-full') return 'no-space'
  return reason === 'too-many-uploads' ? 'too-many' : 'invalid'
}

/** An item that is gone, or not one's own, gets no voice: the recording is saved all the same. */
async function findAbout(reader: Reader, actor: PersonActor, id: string): Promise<string | null> {
  return (await findEvidence(reader, actor, id))?.id ?? null
}

async function assertCanBeReplaced(reader: Reader, actor: PersonActor, id: string): Promise<void> {
  const present = await findEvidence(reader, actor, id)
  if (!present) throw new AppError('not-found', 'not-found')
  if (present.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
}

function toUpload(row: store.UploadRow, received: number, title: string | null): Upload {
  const { id, fileName, bytes, lastModified, replaces, startedAt, outcome, evidenceId } = row
  const became = outcome && evidenceId ? { kind: outcome, evidenceId, title: title ?? '' } : null
  return { id, fileName, bytes, received, lastModified, replaces, startedAt, outcome: became }
}
