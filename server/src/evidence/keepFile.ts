// From a stored file to evidence: a new item, a new version of one, or the one that has these bytes already.
import { cleanFileName, decideNewVersion, kindOfMime, suggestTitle } from '@valise/core/evidence'
import type { Rights } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import { assertAllowed, AppError } from '@valise/core/problems'
import { localToInstant, toInstant } from '@valise/core/time'
import type { Instant, Zone } from '@valise/core/time'
import type { Trx } from '../database/index.ts'
import type { StoredFile } from '../files/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { getSchool } from '../people/index.ts'
import type { Examined } from './examineFile.ts'
import { RENDER_VERSION } from './jobNames.ts'
import { findEvidence, findSameFile, insertEvidence, updateEvidence } from './store.ts'
import type { UploadRow } from './uploadStore.ts'
import { insertVersion } from './versionStore.ts'

export interface FileToKeep {
  /** The id that a new item gets. */
  readonly id: string
  readonly stored: StoredFile
  readonly examined: Examined
  readonly fileName: string
  /** The item whose next version this is, or null for a new item. */
  readonly replaces: string | null
  readonly classId: string | null
  readonly rights?: Rights
}

export interface KeptFile {
  readonly outcome: NonNullable<UploadRow['outcome']>
  readonly evidenceId: string
}

/**
 * Writes down what a file is, in the transaction of whoever brought it.
 *
 * @throws AppError `not-found` when the item to replace is not one's own, `conflict` when it is of another kind
 */
export async function keepFile(
  trx: Trx,
  jobs: Jobs,
  actor: PersonActor,
  file: FileToKeep,
): Promise<KeptFile> {
  if (file.replaces !== null) return keepVersion(trx, jobs, actor, file, file.replaces)
  const same = await findSameFile(trx, actor, file.stored.sha256)
  if (same) return { outcome: 'same', evidenceId: same.id }
  const fileName = cleanFileName(file.fileName)
  const madeAt = madeAtOf(file.examined, (await getSchool(trx)).timeZone, trx.now)
  await insertEvidence(trx, {
    id: file.id,
    ownerId: actor.personId,
    kind: kindOfMime(file.examined.mime),
    title: suggestTitle(fileName),
    rights: file.rights ?? { state: 'missing' },
    classId: file.classId,
    madeAt: madeAt ?? trx.now,
    madeAtKnown: madeAt !== null,
  })
  await addVersion(trx, jobs, actor, { ...file, evidenceId: file.id, n: 1 })
  return { outcome: 'new', evidenceId: file.id }
}

async function keepVersion(
  trx: Trx,
  jobs: Jobs,
  actor: PersonActor,
  file: FileToKeep,
  evidenceId: string,
): Promise<KeptFile> {
  const present = await findEvidence(trx, actor, evidenceId)
  if (!present) throw new AppError('not-found', 'not-found')
  assertAllowed(decideNewVersion(present.kind, kindOfMime(file.examined.mime)), 'conflict')
  const newest = present.versions[0]
  await addVersion(trx, jobs, actor, { ...file, evidenceId, n: (newest?.n ?? 0) + 1 })
  return { outcome: 'version', evidenceId }
}

interface VersionToAdd extends Pick<FileToKeep, 'stored' | 'examined' | 'fileName'> {
  readonly evidenceId: string
  readonly n: number
}

async function addVersion(trx: Trx, jobs: Jobs, actor: PersonActor, version: VersionToAdd): Promise<void> {
  const { evidenceId, n, stored, examined } = version
  const canBeShown = examined.width !== null && examined.previewProblem === null
  await insertVersion(trx, {
    evidenceId,
    n,
    ownerId: actor.personId,
    fileSha256: stored.sha256,
    fileName: cleanFileName(version.fileName),
    mime: examined.mime,
    bytes: stored.bytes,
    width: examined.width,
    height: examined.height,
    latitude: examined.place?.latitude ?? null,
    longitude: examined.place?.longitude ?? null,
    preview: canBeShown ? 'making' : 'none',
    previewProblem: examined.previewProblem,
  })
  await updateEvidence(trx, evidenceId, null, { currentVersion: n })
  if (canBeShown) await enqueueRendering(trx, jobs, evidenceId, n)
}

export function enqueueRendering(trx: Trx, jobs: Jobs, evidenceId: string, n: number): Promise<void> {
  const dedupeKey = `${RENDER_VERSION}:${evidenceId}:${n}`
  return jobs.enqueue(trx, { kind: RENDER_VERSION, payload: { evidenceId, n }, dedupeKey })
}

/** A camera's clock is in its own zone where it says so, else in the school's. What lies ahead is a clock set wrong. */
function madeAtOf({ madeAt }: Examined, zone: Zone, now: Instant): Instant | null {
  if (madeAt === null) return null
  const at =
    madeAt.offset === null
      ? localToInstant(madeAt.local, zone, 'from')
      : toInstant(Date.parse(`${madeAt.local}:00${madeAt.offset}`))
  return at <= now ? at : null
}
