// Files on their way in, as the database knows them; their bytes lie in the file store.
import type { Upload } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Reader, Trx } from '../database/index.ts'

export interface UploadRow {
  readonly id: string
  readonly ownerId: string
  readonly fileName: string
  readonly bytes: number
  readonly lastModified: number | null
  readonly replaces: string | null
  readonly classId: string | null
  readonly assignmentId: string | null
  readonly title: string | null
  readonly isMine: number
  readonly durationMs: number | null
  /** How the picture is put right from the beginning, as JSON. */
  readonly recipe: string | null
  /** The item that a recording speaks of, and what it points at, as JSON. */
  readonly aboutId: string | null
  readonly moments: string | null
  readonly startedAt: Instant
  readonly outcome: NonNullable<Upload['outcome']>['kind'] | null
  readonly evidenceId: string | null
}

export async function insertUpload(
  trx: Trx,
  upload: Omit<UploadRow, 'startedAt' | 'outcome' | 'evidenceId'>,
): Promise<void> {
  await trx.sql('uploads').insert({ ...upload, startedAt: trx.now, outcome: null, evidenceId: null })
}

export async function findUpload(reader: Reader, id: string): Promise<UploadRow | null> {
  return (await reader.sql('uploads').where({ id }).first()) ?? null
}

export async function findOwnUpload(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<(UploadRow & { itemTitle: string | null }) | null> {
  const row = await reader
    .sql('uploads')
    .leftJoin('things', 'things.id', 'uploads.evidenceId')
    .where({ 'uploads.id': id, 'uploads.ownerId': actor.personId })
    .first('uploads.*', 'things.title as itemTitle')
  return row ?? null
}

/** Lists a person's unfinished uploads, oldest first. */
export function listOpenUploads(reader: Reader, actor: PersonActor): Promise<UploadRow[]> {
  return reader
    .sql('uploads')
    .where({ ownerId: actor.personId })
    .whereNull('outcome')
    .orderBy(['startedAt', 'id'])
}

export async function countOpenUploads(
  reader: Reader,
  actor: PersonActor,
): Promise<{ count: number; bytes: number }> {
  const open = reader.sql('uploads').where({ ownerId: actor.personId }).whereNull('outcome')
  const row = await open.count({ count: '*' }).sum({ bytes: 'bytes' }).first()
  return { count: Number(row?.count ?? 0), bytes: Number(row?.bytes ?? 0) }
}

/** Returns whether nobody has finished the upload; call it in the finishing transaction, which then owns the row. */
export async function isStillOpen(trx: Trx, id: string): Promise<boolean> {
  const row = await trx.sql('uploads').where({ id }).whereNull('outcome').forUpdate().first('id')
  return row !== undefined
}

/** Records what an upload became, for a client that missed the answer. */
export async function closeUpload(
  trx: Trx,
  id: string,
  outcome: NonNullable<UploadRow['outcome']>,
  evidenceId: string,
): Promise<void> {
  await trx.sql('uploads').where({ id }).update({ outcome, evidenceId })
}

export async function deleteUpload(trx: Trx, id: string): Promise<void> {
  await trx.sql('uploads').where({ id }).delete()
}

/** Deletes uploads that were started before a moment, finished or not. */
export function deleteUploadsBefore(trx: Trx, before: Instant): Promise<number> {
  return trx.sql('uploads').where('startedAt', '<=', before).delete()
}

export async function hasUpload(reader: Reader, id: string): Promise<boolean> {
  return (await reader.sql('uploads').where({ id }).first('id')) !== undefined
}
