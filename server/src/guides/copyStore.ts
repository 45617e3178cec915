// Copies of guides in the database, and the one scope of who may read them.
import type { GuideReading } from '@valise/core/guides'
import { isAssessorRole } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { presentMembers } from '../access/index.ts'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export interface CopyRow {
  readonly id: string
  readonly ownerId: string
  readonly guideId: string
  readonly classId: string
  readonly className: string
  readonly classCode: string
  readonly reading: GuideReading
  /** The version that it goes along. */
  readonly n: number
  readonly logbookId: string | null
  readonly begunAt: Instant
  readonly changedAt: Instant
  readonly binnedAt: Instant | null
}

function copies(reader: Reader): Knex.QueryBuilder {
  return reader
    .sql('guideCopies')
    .join('things', 'things.id', 'guideCopies.id')
    .join('classes', 'classes.id', 'guideCopies.classId')
    .select('guideCopies.*', 'things.changedAt', 'things.binnedAt')
    .select('classes.name as className', 'classes.code as classCode')
}

/** Lists one's own copies, the newest first. */
export async function listOwnCopies(reader: Reader, { personId }: PersonActor): Promise<CopyRow[]> {
  return copies(reader)
    .where({ 'guideCopies.ownerId': personId })
    .orderBy([{ column: 'guideCopies.begunAt', order: 'desc' }, { column: 'guideCopies.id' }])
}

export async function findOwnCopy(
  reader: Reader,
  { personId }: PersonActor,
  by: { readonly id: string } | { readonly guideId: string },
): Promise<CopyRow | null> {
  const [[column, value] = ['id', '']] = Object.entries(by)
  const row = await copies(reader)
    .where({ 'guideCopies.ownerId': personId, [`guideCopies.${column}`]: value })
    .first()
  return row ?? null
}

/** @throws AppError `not-found` where the copy is not one's own */
export async function getOwnCopy(reader: Reader, actor: PersonActor, id: string): Promise<CopyRow> {
  const copy = await findOwnCopy(reader, actor, { id })
  if (!copy) throw new AppError('not-found', 'not-found')
  return copy
}

/** Finds a copy that one may read: one's own, or one that is followed in a class that one assesses now. */
export async function findReadCopy(reader: Reader, actor: PersonActor, id: string): Promise<CopyRow | null> {
  const classIds = actor.memberships.flatMap(({ role, classId }) => (isAssessorRole(role) ? [classId] : []))
  const row = await copies(reader)
    .where('guideCopies.id', id)
    .where((may) =>
      may
        .where('guideCopies.ownerId', actor.personId)
        .orWhere((read) =>
          read
            .where({ 'guideCopies.reading': 'followed', 'things.isBinned': 0 })
            .modify(isOneOf, 'guideCopies.classId', classIds),
        ),
    )
    .first()
  return row ?? null
}

export async function hasCopies(reader: Reader, guideId: string): Promise<boolean> {
  return (await reader.sql('guideCopies').where({ guideId }).first('id')) !== undefined
}

/** Returns whether somebody began a guide who was told that it is read like this. */
export async function hasCopiesRead(
  reader: Reader,
  guideId: string,
  reading: GuideReading,
): Promise<boolean> {
  return (await reader.sql('guideCopies').where({ guideId, reading }).first('id')) !== undefined
}

export async function insertCopy(
  trx: Trx,
  copy: Pick<CopyRow, 'id' | 'ownerId' | 'guideId' | 'classId' | 'reading' | 'n'>,
): Promise<void> {
  await trx.sql('guideCopies').insert({ ...copy, logbookId: null, begunAt: trx.now })
}

export async function updateCopy(
  trx: Trx,
  id: string,
  columns: Partial<Pick<CopyRow, 'n' | 'logbookId'>>,
): Promise<void> {
  await trx.sql('guideCopies').where({ id }).update(columns)
}

/** Lists the copies that are handed in by themselves for a class: those of people who are its students now. */
export async function listCopiesToHandIn(
  reader: Reader,
  { guideId, classId }: Pick<CopyRow, 'guideId' | 'classId'>,
): Promise<Pick<CopyRow, 'id' | 'ownerId'>[]> {
  const students = presentMembers(reader).where({ classId, role: 'student' }).select('personId')
  return reader
    .sql('guideCopies')
    .join('things', 'things.id', 'guideCopies.id')
    .where({ guideId, classId, reading: 'sealed', 'things.isBinned': 0 })
    .whereIn('guideCopies.ownerId', students)
    .orderBy('guideCopies.id')
    .select('guideCopies.id', 'guideCopies.ownerId')
}
