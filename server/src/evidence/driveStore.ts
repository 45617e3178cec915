// Documents of the shared drive in the database: which item is which document, and how it stands there.
import type { DriveState } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'

export interface DriveDocument extends DriveState {
  readonly evidenceId: string
  readonly ownerId: string
  /** The saved version, by the drive's own revision. */
  readonly revision: string
}

export async function findDriveDocument(reader: Reader, evidenceId: string): Promise<DriveDocument | null> {
  const row: DriveRecord | undefined = await reader.sql('driveDocuments').where({ evidenceId }).first()
  return row ? { ...row, isConnected: row.isConnected === 1 } : null
}

export async function findDriveState(reader: Reader, evidenceId: string): Promise<DriveState | null> {
  const found = await findDriveDocument(reader, evidenceId)
  if (!found) return null
  const { documentId, isConnected, changedAt, checkedAt, lostAt } = found
  return { documentId, isConnected, changedAt, checkedAt, lostAt }
}

/** Finds the item that is already connected to a document and is not in the bin. */
export async function findConnected(
  reader: Reader,
  actor: PersonActor,
  documentId: string,
): Promise<string | null> {
  const row: { evidenceId: string } | undefined = await reader
    .sql('driveDocuments')
    .join('evidence', 'evidence.id', 'driveDocuments.evidenceId')
    .where({ 'driveDocuments.ownerId': actor.personId, documentId, isConnected: 1 })
    .where('evidence.isBinned', 0)
    .orderBy('evidenceId')
    .first('evidenceId')
  return row?.evidenceId ?? null
}

export async function insertDriveDocument(
  trx: Trx,
  { isConnected, ...document }: Omit<DriveDocument, 'checkedAt' | 'lostAt'>,
): Promise<void> {
  const row = { ...document, isConnected: isConnected ? 1 : 0, checkedAt: trx.now, lostAt: null }
  await trx.sql('driveDocuments').insert(row)
}

export async function updateDriveDocument(
  trx: Trx,
  evidenceId: string,
  change: {
    readonly revision?: string
    readonly changedAt?: string | null
    readonly lostAt?: Instant | null
    readonly isConnected?: boolean
  },
): Promise<void> {
  const { isConnected, ...columns } = change
  await trx
    .sql('driveDocuments')
    .where({ evidenceId })
    .update({
      ...columns,
      ...(isConnected !== undefined && { isConnected: isConnected ? 1 : 0 }),
      checkedAt: trx.now,
    })
}

/**
 * Records the saved revision of a connected document, where it is still the earlier one.
 *
 * @returns false when another poll was first; two at the same moment save one version
 */
export async function advanceDriveDocument(
  trx: Trx,
  evidenceId: string,
  from: string,
  to: { readonly revision: string; readonly changedAt: string | null },
): Promise<boolean> {
  const change = { ...to, lostAt: null, checkedAt: trx.now }
  return (await trx.sql('driveDocuments').where({ evidenceId, revision: from }).update(change)) === 1
}

interface DriveRecord extends Omit<DriveDocument, 'isConnected'> {
  readonly isConnected: number
}
