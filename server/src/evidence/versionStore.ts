// Versions of evidence, the files they are, and the renditions made of them.
import type { PreviewProblem, PreviewState, RenditionKind } from '@valise/core/evidence'
import type { Reader, Trx } from '../database/index.ts'
import { keepFileRow } from '../files/index.ts'
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
}

export async function insertVersion(trx: Trx, version: NewVersion): Promise<void> {
  await keepFileRow(trx, { sha256: version.fileSha256, bytes: version.bytes })
  await trx.sql('evidenceVersions').insert({ ...version, createdAt: trx.now })
}

/** A version of an item of this owner, or null. Whether the caller may see it was decided before. */
export async function findVersionOf(
  reader: Reader,
  ownerId: string,
  evidenceId: string,
  n: number,
): Promise<NewVersion | null> {
  const row: (NewVersion & { createdAt: string }) | undefined = await reader
    .sql('evidenceVersions')
    .where({ evidenceId, n, ownerId })
    .first()
  if (!row) return null
  const { createdAt: _, ...version } = row
  return version
}

/** Any version, for work in the background that names who wanted it. */
export async function findVersion(reader: Reader, evidenceId: string, n: number): Promise<NewVersion | null> {
  const row = await reader.sql('evidenceVersions').where({ evidenceId, n }).first()
  return row ?? null
}

export async function sumOfBytes(reader: Reader, ownerId: string): Promise<number> {
  const row = await reader.sql('evidenceVersions').where({ ownerId }).sum({ sum: 'bytes' }).first()
  return Number(row?.sum ?? 0)
}

/** Writes down what the maker made, or why it could not. */
export async function saveRenditions(
  trx: Trx,
  version: Pick<NewVersion, 'evidenceId' | 'n' | 'ownerId'>,
  { made, problem }: RenderedPicture,
): Promise<void> {
  const { evidenceId, n, ownerId } = version
  for (const { sha256, bytes, kind, mime, width, height } of made) {
    await keepFileRow(trx, { sha256, bytes })
    const row = { evidenceId, n, kind, recipeRevision: 0, concealRevision: 0, makerVersion: MAKER_VERSION }
    const content = { ownerId, fileSha256: sha256, mime, bytes, width, height, createdAt: trx.now }
    await trx
      .sql('renditions')
      .insert({ ...row, ...content })
      .onConflict(Object.keys(row))
      .merge()
  }
  const preview: PreviewState = made.length > 0 ? 'there' : 'none'
  await trx.sql('evidenceVersions').where({ evidenceId, n }).update({ preview, previewProblem: problem })
}

export interface RenditionFile {
  readonly fileSha256: string
  readonly mime: string
  readonly bytes: number
}

/** The newest rendition of a version of an item of this owner. */
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
    .orderBy(
      ['recipeRevision', 'concealRevision', 'makerVersion'].map((column) => ({ column, order: 'desc' })),
    )
    .first('fileSha256', 'mime', 'bytes')
  return row ?? null
}
