// Sealed copies in the database: the parts as they were pinned, and the files that the copy consists of.
import type { PageDocument, Shown, Statement } from '@valise/core/pages'
import type { SealedPartRow } from '@valise/core/submissions'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { saveFileRow } from '../files/index.ts'

/** A part as it was when it was handed in. */
export interface PinnedPart extends SealedPartRow {
  readonly document: PageDocument
  readonly shown: Shown
  readonly statements: readonly Statement[]
}

export async function insertParts(
  trx: Trx,
  submissionId: string,
  parts: readonly PinnedPart[],
): Promise<void> {
  const rows = parts.map(({ document, shown, statements, ...part }) => ({
    submissionId,
    ...part,
    sealedThingId: part.thingId,
    document: JSON.stringify(document),
    shown: JSON.stringify(shown),
    statements: JSON.stringify(statements),
  }))
  await trx.sql('submissionParts').insert(rows)
}

export async function listParts(reader: Reader, submissionId: string): Promise<SealedPartRow[]> {
  return reader
    .sql('submissionParts')
    .where({ submissionId })
    .orderBy('n')
    .select('n', 'kind', 'sealedThingId as thingId', 'title', 'copy')
}

export async function listPinned(reader: Reader, submissionId: string): Promise<PinnedPart[]> {
  const rows = await reader.sql('submissionParts').where({ submissionId }).orderBy('n')
  return rows.map(({ submissionId: _, sealedThingId: thingId, document, shown, statements, ...part }) => ({
    ...part,
    thingId,
    document: JSON.parse(document),
    shown: JSON.parse(shown),
    statements: JSON.parse(statements),
  }))
}

export interface SealedFileRow {
  readonly path: string
  readonly fileSha256: string
  readonly bytes: number
  readonly mime: string
}

/** A file with the item that it is of, where it is of one. */
export interface FileToSeal extends SealedFileRow {
  readonly evidenceId?: string
  readonly evidenceN?: number
}

/** Adds files to a sealed copy; from then on the sweep does not remove their bytes. */
export async function insertFiles(
  trx: Trx,
  submissionId: string,
  files: readonly FileToSeal[],
): Promise<void> {
  for (const file of files) {
    await saveFileRow(trx, { sha256: file.fileSha256, bytes: file.bytes })
    await trx
      .sql('sealedFiles')
      .insert({ submissionId, evidenceId: null, evidenceN: null, ...file })
      .onConflict(['submissionId', 'path'])
      .ignore()
  }
}

export async function listFiles(reader: Reader, submissionId: string): Promise<SealedFileRow[]> {
  return reader
    .sql('sealedFiles')
    .where({ submissionId })
    .orderBy('path')
    .select('path', 'fileSha256', 'bytes', 'mime')
}

export async function findFile(
  reader: Reader,
  submissionId: string,
  path: string,
): Promise<SealedFileRow | null> {
  const row = await reader
    .sql('sealedFiles')
    .where({ submissionId, path })
    .first('path', 'fileSha256', 'bytes', 'mime')
  return row ?? null
}

export interface VersionFile {
  readonly evidenceId: string
  readonly n: number
  readonly what: 'screen' | 'file'
  readonly fileSha256: string
  readonly bytes: number
  readonly mime: string
}

/** Lists the bytes of items of one owner: their files and screen renditions. */
export async function listVersionFiles(
  reader: Reader,
  ownerId: string,
  evidenceIds: readonly string[],
): Promise<VersionFile[]> {
  const ids = [...new Set(evidenceIds)]
  if (ids.length === 0) return []
  const files: Omit<VersionFile, 'what'>[] = await reader
    .sql('evidenceVersions')
    .where({ ownerId })
    .modify(isOneOf, 'evidenceId', ids)
    .orderBy(['evidenceId', 'n'])
    .select('evidenceId', 'n', 'fileSha256', 'bytes', 'mime')
  const columns = ['evidenceId', 'n', 'fileSha256', 'bytes', 'mime'].map((column) => `renditions.${column}`)
  const screens: Omit<VersionFile, 'what'>[] = await reader
    .sql('renditions')
    // By the recipe that counts now: an earlier one may show what is concealed since.
    .join('evidenceVersions', (on) => {
      for (const column of ['evidenceId', 'n', 'recipeRevision', 'concealRevision'])
        on.andOn(`evidenceVersions.${column}`, `renditions.${column}`)
    })
    .where({ 'renditions.ownerId': ownerId, 'renditions.kind': 'screen' })
    .modify(isOneOf, 'renditions.evidenceId', ids)
    // The newest last, so that it is the one that counts.
    .orderBy(['evidenceId', 'n', 'makerVersion'].map((column) => `renditions.${column}`))
    .select(columns)
  return [
    ...files.map((file) => ({ ...file, what: 'file' as const })),
    ...screens.reverse().map((file) => ({ ...file, what: 'screen' as const })),
  ]
}

/** Lists which versions of these items are still being rendered. */
export async function listInTheMaking(
  reader: Reader,
  evidenceIds: readonly string[],
): Promise<{ readonly evidenceId: string; readonly n: number }[]> {
  return reader
    .sql('evidenceVersions')
    .modify(isOneOf, 'evidenceId', evidenceIds)
    .where({ preview: 'making' })
    .orderBy(['evidenceId', 'n'])
    .select('evidenceId', 'n')
}

/** Adds pictures that became ready between handing in and sealing. */
export async function updateShown(trx: Trx, submissionId: string, n: number, shown: Shown): Promise<void> {
  await trx
    .sql('submissionParts')
    .where({ submissionId, n })
    .update({ shown: JSON.stringify(shown) })
}
