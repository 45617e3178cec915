// From a stored file to evidence: a new item, a new version of one, or the one that has these bytes already.
import {
  canBeRendered,
  cleanFileName,
  cleanTags,
  decideNewVersion,
  kindOfMime,
  MOST_IN_TRAY,
  readerOf,
  suggestTitle,
} from '@valise/core/evidence'
import type { EvidenceKind, Rights } from '@valise/core/evidence'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { assertAllowed, AppError } from '@valise/core/problems'
import { localToInstant, toInstant } from '@valise/core/time'
import type { Instant, Zone } from '@valise/core/time'
import type { Trx } from '../database/index.ts'
import type { StoredFile } from '../files/index.ts'
import type { Jobs } from '../jobs/index.ts'
import { getSchool } from '../people/index.ts'
import { unexamined } from './examineFile.ts'
import type { Examined } from './examineFile.ts'
import { EXAMINE_VERSION, READ_VERSION, RENDER_VERSION } from './jobNames.ts'
import { findEvidence, findSameFile, insertEvidence, updateEvidence, updateUnknownKind } from './store.ts'
import { replaceTags } from './tagStore.ts'
import { countTray, insertTrayItem } from './trayStore.ts'
import type { UploadRow } from './uploadStore.ts'
import { findNewestVersion, insertVersion, saveFound } from './versionStore.ts'
import type { StoredVersion, NewVersion } from './versionStore.ts'
import { indexWords } from './wordsStore.ts'

export interface FileToSave {
  /** The id that a new item gets. */
  readonly id: string
  readonly stored: StoredFile
  /** Null where it was not looked at yet: a job does so later. */
  readonly examined: Examined | null
  readonly fileName: string
  /** The item whose next version this is, or null for a new item. */
  readonly replaces: string | null
  readonly classId: string | null
  readonly assignmentId?: string | null
  readonly rights?: Rights
  /** What it is; without one the file's name suggests it. */
  readonly title?: string
  readonly tags?: readonly string[]
  /** How long it plays, where whoever recorded it says so. */
  readonly durationMs?: number | null
  /** Of a note: its editable document, stored beside the file. */
  readonly document?: string
  /** Where the kind does not follow from the file. */
  readonly kind?: EvidenceKind
  /** Kept as an item of its own, although one has these very bytes already. */
  readonly isNew?: boolean
  /** Whether it is put into the tray, where there is room. */
  readonly intoTray?: boolean
}

export interface SavedFile {
  readonly outcome: NonNullable<UploadRow['outcome']>
  readonly evidenceId: string
}

/**
 * Saves a file as evidence, in the caller's transaction.
 *
 * @throws AppError `not-found` when the item to replace is not one's own, `conflict` when it is of another kind
 */
export async function saveFile(
  trx: Trx,
  jobs: Jobs,
  actor: PersonActor,
  file: FileToSave,
): Promise<SavedFile> {
  if (file.replaces !== null) return saveVersion(trx, jobs, actor, file, file.replaces)
  const same = file.isNew === true ? null : await findSameFile(trx, actor, file.stored.sha256)
  if (same) return { outcome: 'same', evidenceId: same.id }
  const fileName = cleanFileName(file.fileName)
  const zone = (await getSchool(trx)).timeZone
  const madeAt = file.examined && madeAtOf(file.examined, zone, trx.now)
  const said = toPlainLine(file.title ?? '')
  const item = {
    id: file.id,
    ownerId: actor.personId,
    kind: file.kind ?? kindOfFile(file),
    title: said === '' ? suggestTitle(fileName) : said,
    rights: file.rights ?? { state: 'missing' },
    classId: file.classId,
    assignmentId: file.assignmentId ?? null,
    madeAt: madeAt ?? trx.now,
    madeAtKnown: madeAt !== null || file.rights?.state === 'mine',
  } as const
  await insertEvidence(trx, item, zone)
  const tags = cleanTags(file.tags ?? [])
  if (tags.length > 0) await replaceTags(trx, actor, file.id, tags)
  await addVersion(trx, jobs, actor, { ...file, evidenceId: file.id, n: 1 })
  if (file.intoTray === true && (await countTray(trx, actor)) < MOST_IN_TRAY)
    await insertTrayItem(trx, actor, file.id)
  return { outcome: 'new', evidenceId: file.id }
}

async function saveVersion(
  trx: Trx,
  jobs: Jobs,
  actor: PersonActor,
  file: FileToSave,
  evidenceId: string,
): Promise<SavedFile> {
  const present = await findEvidence(trx, actor, evidenceId)
  if (!present) throw new AppError('not-found', 'not-found')
  const kind = file.kind ?? kindOfFile(file)
  assertAllowed(decideNewVersion(present.kind, kind), 'conflict')
  const newest = present.versions[0]
  await addVersion(trx, jobs, actor, { ...file, evidenceId, n: (newest?.n ?? 0) + 1 })
  return { outcome: 'version', evidenceId }
}

interface VersionToAdd extends Pick<
  FileToSave,
  'stored' | 'examined' | 'fileName' | 'durationMs' | 'document'
> {
  readonly evidenceId: string
  readonly n: number
}

async function addVersion(trx: Trx, jobs: Jobs, actor: PersonActor, version: VersionToAdd): Promise<void> {
  const { evidenceId, n, stored, examined } = version
  const found = foundIn(examined ?? unexamined, version.document !== undefined)
  await insertVersion(trx, {
    evidenceId,
    n,
    ownerId: actor.personId,
    fileSha256: stored.sha256,
    fileName: cleanFileName(version.fileName),
    bytes: stored.bytes,
    ...found,
    durationMs: version.durationMs ?? found.durationMs,
    document: version.document ?? null,
  })
  await updateEvidence(trx, evidenceId, null, { currentVersion: n })
  if (examined === null) await enqueue(trx, jobs, EXAMINE_VERSION, { evidenceId, n, ownerId: actor.personId })
  else await enqueueWork(trx, jobs, { evidenceId, n, ownerId: actor.personId, ...found })
  await indexWords(trx, evidenceId)
}

/**
 * Saves what a file is that could not be examined on arrival. An item of unknown kind gets its real kind; what its
 * owner has entered stays.
 */
export async function saveExamined(
  trx: Trx,
  jobs: Jobs,
  version: StoredVersion,
  examined: Examined,
): Promise<void> {
  const { evidenceId, n } = version
  const found = foundIn(examined, version.document !== null)
  await saveFound(trx, version, { ...found, durationMs: version.durationMs ?? found.durationMs })
  const newest = await findNewestVersion(trx, evidenceId)
  if (newest?.n === n) {
    const zone = (await getSchool(trx)).timeZone
    await updateUnknownKind(
      trx,
      evidenceId,
      kindOfMime(examined.mime),
      madeAtOf(examined, zone, trx.now),
      zone,
    )
  }
  await enqueueWork(trx, jobs, { ...version, ...found })
  await indexWords(trx, evidenceId)
}

type FoundInFile = Pick<
  NewVersion,
  | 'mime'
  | 'width'
  | 'height'
  | 'latitude'
  | 'longitude'
  | 'preview'
  | 'previewProblem'
  | 'durationMs'
  | 'textState'
>

function foundIn(examined: Examined, isDocument: boolean): FoundInFile {
  const { mime, width, height, place, previewProblem, durationMs } = examined
  const canBeShown = canBeRendered(mime) && width !== null && previewProblem === null
  const reader = isDocument ? null : readerOf(mime)
  return {
    ...{ mime, width, height, previewProblem, durationMs },
    latitude: place?.latitude ?? null,
    longitude: place?.longitude ?? null,
    // The first page of a PDF is its picture.
    preview: canBeShown || reader === 'pdf' ? 'making' : 'none',
    textState: reader === null ? 'none' : 'unread',
  }
}

/** The work in the background that a version of this kind needs. */
async function enqueueWork(trx: Trx, jobs: Jobs, version: VersionOf & FoundInFile): Promise<void> {
  const isPicture = version.preview === 'making' && version.textState === 'none'
  if (isPicture) await enqueueRendering(trx, jobs, version)
  if (version.textState === 'unread') await enqueueReading(trx, jobs, version)
}

function kindOfFile({ examined }: FileToSave): EvidenceKind {
  return kindOfMime((examined ?? unexamined).mime)
}

interface VersionOf {
  readonly evidenceId: string
  readonly n: number
  readonly ownerId: string
}

export function enqueueRendering(trx: Trx, jobs: Jobs, of: VersionOf): Promise<void> {
  return enqueue(trx, jobs, RENDER_VERSION, of)
}

export function enqueueReading(trx: Trx, jobs: Jobs, of: VersionOf): Promise<void> {
  return enqueue(trx, jobs, READ_VERSION, of)
}

function enqueue(trx: Trx, jobs: Jobs, kind: string, { evidenceId, n, ownerId }: VersionOf): Promise<void> {
  const dedupeKey = `${kind}:${evidenceId}:${n}`
  return jobs.enqueue(trx, { kind, payload: { evidenceId, n }, dedupeKey, personId: ownerId })
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
