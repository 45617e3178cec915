// Versions of evidence, the files they are, and the renditions made of them.
import { kindOfMime } from '@valise/core/evidence'
import type {
  EvidenceVersion,
  PreviewProblem,
  PreviewState,
  RenditionKind,
  TextState,
} from '@valise/core/evidence'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'
import { saveFileRow } from '../files/index.ts'
import { MAKER_VERSION } from './renderPicture.ts'
import type { RenderedPicture } from './renderPicture.ts'

export interface NewVersion {
  readonly evidenceId: string
  readonly n: number
  readonly ownerId: string
  readonly fileSha256: string
  readonly fileName: string
  readonly mime: string
  readonly bytes: number
  readonly width: number | null
  readonly height: number | null
  readonly latitude: number | null
  readonly longitude: number | null
  readonly preview: PreviewState
  readonly previewProblem: PreviewProblem | null
  readonly durationMs: number | null
  readonly textState: TextState
  /** The words of a note as JSON; null for everything that came as a file. */
  readonly document: string | null
}

/** A version with the processing of its picture. */
export interface StoredVersion extends NewVersion {
  readonly recipeRevision: number
  readonly concealRevision: number
  readonly takenWidth: number | null
  readonly takenHeight: number | null
}

/** What reading the file finds later. */
export interface FoundInside {
  readonly pages: number | null
  readonly encoding: string | null
  readonly textState: TextState
  readonly previewProblem: PreviewProblem | null
}

/** A version as in lists, without the text of notes and the hash. */
export interface VersionRecord extends Omit<NewVersion, 'document' | 'fileSha256' | 'ownerId'> {
  readonly pages: number | null
  readonly encoding: string | null
  readonly recipeRevision: number
  readonly createdAt: Instant
}

export const versionColumns = [
  ...['evidenceId', 'n', 'fileName', 'mime', 'bytes', 'width', 'height', 'latitude', 'longitude'],
  ...[
    'preview',
    'previewProblem',
    'durationMs',
    'pages',
    'encoding',
    'textState',
    'recipeRevision',
    'createdAt',
  ],
]

export function toVersion(row: VersionRecord): EvidenceVersion {
  const { latitude, longitude } = row
  return {
    n: row.n,
    fileName: row.fileName,
    mime: row.mime,
    bytes: row.bytes,
    width: row.width,
    height: row.height,
    place: latitude === null || longitude === null ? null : { latitude, longitude },
    durationMs: row.durationMs,
    pages: row.pages,
    encoding: row.encoding,
    textState: row.textState,
    preview: row.preview,
    previewProblem: row.previewProblem,
    renderRevision: row.recipeRevision,
    at: row.createdAt,
  }
}

export async function insertVersion(trx: Trx, version: NewVersion): Promise<void> {
  await saveFileRow(trx, { sha256: version.fileSha256, bytes: version.bytes })
  await trx.sql('evidenceVersions').insert({ ...version, createdAt: trx.now })
}

/** Returns a version of an item of this owner, or null. The caller has checked access. */
export async function findVersionOf(
  reader: Reader,
  ownerId: string,
  evidenceId: string,
  n: number,
): Promise<StoredVersion | null> {
  const row = await reader.sql('evidenceVersions').where({ evidenceId, n, ownerId }).first(ownColumns)
  return row ?? null
}

const ownColumns = [
  ...versionColumns.filter((column) => !['pages', 'encoding', 'createdAt'].includes(column)),
  ...['ownerId', 'fileSha256', 'document', 'concealRevision', 'takenWidth', 'takenHeight'],
]

/** Returns any version, for background jobs. */
export async function findVersion(
  reader: Reader,
  evidenceId: string,
  n: number,
): Promise<StoredVersion | null> {
  const row = await reader.sql('evidenceVersions').where({ evidenceId, n }).first()
  return row ?? null
}

export async function findNewestVersion(reader: Reader, evidenceId: string): Promise<StoredVersion | null> {
  const row = await reader.sql('evidenceVersions').where({ evidenceId }).orderBy('n', 'desc').first()
  return row ?? null
}

export async function sumOfBytes(reader: Reader, ownerId: string): Promise<number> {
  const row = await reader.sql('evidenceVersions').where({ ownerId }).sum({ sum: 'bytes' }).first()
  return Number(row?.sum ?? 0)
}

/** Saves the renditions, or the problem. */
export async function saveRenditions(
  trx: Trx,
  version: Pick<StoredVersion, 'evidenceId' | 'n' | 'ownerId' | 'recipeRevision'>,
  { made, problem }: Pick<RenderedPicture, 'made' | 'problem'>,
): Promise<void> {
  await saveRender(trx, version, made, { recipeRevision: 0, concealRevision: 0 })
  // It is to be shown by its recipe, which has renditions of its own.
  if (version.recipeRevision > 0 && made.length > 0) return
  const preview: PreviewState = made.length > 0 ? 'there' : 'none'
  await setPreview(trx, version, preview, problem)
}

export async function setPreview(
  trx: Trx,
  { evidenceId, n }: Pick<NewVersion, 'evidenceId' | 'n'>,
  preview: PreviewState,
  previewProblem: PreviewProblem | null,
): Promise<void> {
  await trx.sql('evidenceVersions').where({ evidenceId, n }).update({ preview, previewProblem })
}

/** The recipe of a rendition, and the recipe whose concealment it has. */
export interface RenderRevisions {
  readonly recipeRevision: number
  readonly concealRevision: number
}

export async function saveRender(
  trx: Trx,
  { evidenceId, n, ownerId }: Pick<NewVersion, 'evidenceId' | 'n' | 'ownerId'>,
  made: RenderedPicture['made'],
  revisions: RenderRevisions,
): Promise<void> {
  for (const { sha256, bytes, kind, mime, width, height } of made) {
    await saveFileRow(trx, { sha256, bytes })
    const row = { evidenceId, n, kind, ...revisions, makerVersion: MAKER_VERSION }
    const content = { ownerId, fileSha256: sha256, mime, bytes, width, height, createdAt: trx.now }
    await trx
      .sql('renditions')
      .insert({ ...row, ...content })
      .onConflict(Object.keys(row))
      .merge()
  }
}

/** Replaces the content of a version while it is being written. */
export async function replaceContent(
  trx: Trx,
  { evidenceId, n }: Pick<NewVersion, 'evidenceId' | 'n'>,
  content: Pick<NewVersion, 'fileSha256' | 'bytes' | 'document'>,
): Promise<void> {
  await saveFileRow(trx, { sha256: content.fileSha256, bytes: content.bytes })
  await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n })
    .update({ ...content })
}

/** Saves what was found out about a file after it was saved: its type and its content. */
export async function saveFound(
  trx: Trx,
  { evidenceId, n }: Pick<NewVersion, 'evidenceId' | 'n'>,
  found: Partial<NewVersion & FoundInside>,
): Promise<void> {
  await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n })
    .update({ ...found })
}

/** Saves the size of the rendition of an item that is not a picture itself. */
export async function saveShownSize(
  trx: Trx,
  { evidenceId, n }: Pick<NewVersion, 'evidenceId' | 'n'>,
  size: { readonly width: number; readonly height: number },
): Promise<void> {
  await trx
    .sql('evidenceVersions')
    .where({ evidenceId, n })
    .update({ width: size.width, height: size.height })
}

export type UnreadVersion = Pick<NewVersion, 'evidenceId' | 'n' | 'ownerId' | 'mime'>

/** Lists versions whose text has not been extracted, by key. */
export async function listUnread(
  reader: Reader,
  after: UnreadVersion | null,
  limit: number,
): Promise<UnreadVersion[]> {
  const { evidenceId, n } = after ?? { evidenceId: '', n: 0 }
  const unread = reader
    .sql('evidenceVersions')
    .where({ textState: 'unread' })
    .whereRaw('(??, ??) > (?, ?)', ['evidenceId', 'n', evidenceId, n])
  return unread.orderBy(['evidenceId', 'n']).limit(limit).select('evidenceId', 'n', 'ownerId', 'mime')
}

export interface RenditionFile {
  readonly fileSha256: string
  readonly mime: string
  readonly bytes: number
}

/** Returns the newest rendition of a version for its owner, whatever it conceals. */
export async function findRenditionOf(
  reader: Reader,
  ownerId: string,
  evidenceId: string,
  n: number,
  kind: RenditionKind,
): Promise<RenditionFile | null> {
  const row = await reader
    .sql('renditions')
    .where({ evidenceId, n, kind, ownerId })
    .orderBy(newestRender)
    .first('fileSha256', 'mime', 'bytes')
  return row ?? null
}

/** Returns the original picture, for its owner. */
export async function findAsTaken(
  reader: Reader,
  ownerId: string,
  evidenceId: string,
  n: number,
): Promise<RenditionFile | null> {
  const asTaken = { recipeRevision: 0, concealRevision: 0 }
  const row = await reader
    .sql('renditions')
    .where({ evidenceId, n, kind: 'screen', ownerId, ...asTaken })
    .orderBy('makerVersion', 'desc')
    .first('fileSha256', 'mime', 'bytes')
  return row ?? null
}

/**
 * Returns the rendition that others get: of the pinned recipe, never one that conceals less than is concealed now.
 *
 * A recipe that was replaced within a moment was never rendered; then the next rendered one counts.
 */
export async function findSharedRendition(
  reader: Reader,
  ownerId: string,
  {
    id: evidenceId,
    n,
    look: renderRevision = 0,
  }: { readonly id: string; readonly n: number; readonly look?: number | undefined },
): Promise<RenditionFile | null> {
  const row = await reader
    .sql('renditions')
    .join('evidenceVersions', (on) =>
      on
        .on('evidenceVersions.evidenceId', 'renditions.evidenceId')
        .andOn('evidenceVersions.n', 'renditions.n')
        .andOn('evidenceVersions.concealRevision', 'renditions.concealRevision'),
    )
    .where({
      'renditions.ownerId': ownerId,
      'renditions.evidenceId': evidenceId,
      'renditions.n': n,
      'renditions.kind': 'screen',
    })
    .where('renditions.recipeRevision', '>=', renderRevision)
    .orderBy([
      { column: 'renditions.recipeRevision', order: 'asc' },
      { column: 'renditions.makerVersion', order: 'desc' },
    ])
    .first('renditions.fileSha256', 'renditions.mime', 'renditions.bytes')
  return row ?? null
}

export interface FileForOthers extends RenditionFile {
  readonly fileName: string
}

/**
 * Returns the file that others can download: of a picture the rendition, since its original is its owner's alone;
 * otherwise the file itself.
 */
export async function findFileForOthers(
  reader: Reader,
  ownerId: string,
  item: { readonly id: string; readonly n: number; readonly look?: number | undefined },
): Promise<FileForOthers | null> {
  const version = await findVersionOf(reader, ownerId, item.id, item.n)
  if (!version) return null
  const { fileSha256, bytes, mime, fileName } = version
  if (kindOfMime(mime) !== 'picture') return { fileSha256, bytes, mime, fileName }
  const shown = await findSharedRendition(reader, ownerId, item)
  return shown && { ...shown, fileName: renditionName(fileName) }
}

/** Renditions are WebP, whatever they were made of. */
export function renditionName(fileName: string): string {
  return `${fileName.replace(/\.[^.]*$/, '')}.webp`
}

const newestRender = ['recipeRevision', 'concealRevision', 'makerVersion'].map((column) => ({
  column,
  order: 'desc' as const,
}))
