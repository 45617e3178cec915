// Memberships in the database: who is in which class from when until when.
import type { ClassRole, Membership, PersonRow } from '@valise/core/people'
import { windowState } from '@valise/core/time'
import type { Instant, LocalDay, TimeWindow } from '@valise/core/time'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { isPresent } from './presenceStore.ts'

export type RowMembership = PersonRow['memberships'][number]

/** Lists the current memberships of many people, in one query. */
export async function listPresentMemberships(
  reader: Reader,
  personIds: string[],
): Promise<Map<string, RowMembership[]>> {
  const rows = await reader
    .sql('memberships')
    .join('classes', 'classes.id', 'memberships.classId')
    .modify(isOneOf, 'memberships.personId', personIds)
    .whereNull('classes.endedAt')
    .modify(isPresent, 'memberships', reader.now)
    .select(
      'memberships.personId',
      'memberships.id',
      'memberships.classId',
      'classes.name as className',
      'memberships.role',
    )
    .orderBy(['classes.sortName', 'memberships.id'])
  const byPerson = new Map<string, RowMembership[]>()
  for (const { personId, ...membership } of rows) {
    byPerson.set(personId, [...(byPerson.get(personId) ?? []), membership])
  }
  return byPerson
}

export async function listMemberships(reader: Reader, personId: string): Promise<Membership[]> {
  const rows: MembershipRecord[] = await membershipRows(reader)
    .where('memberships.personId', personId)
    .orderBy(['classes.sortName', 'memberships.id'])
  return rows.map((row) => toMembership(row, reader.now))
}

export async function findMembership(reader: Reader, id: string): Promise<Membership | null> {
  const row: MembershipRecord | undefined = await membershipRows(reader).where('memberships.id', id).first()
  return row ? toMembership(row, reader.now) : null
}

/** Lists the windows of a person's memberships, to check that they do not overlap. */
export async function listMembershipSpans(
  reader: Reader,
  personId: string,
): Promise<{ id: string; classId: string; role: ClassRole; from: Instant | null; until: Instant | null }[]> {
  return reader
    .sql('memberships')
    .where({ personId })
    .select('id', 'classId', 'role', 'fromAt as from', 'untilAt as until')
}

function membershipRows(reader: Reader): Knex.QueryBuilder {
  return reader
    .sql('memberships')
    .join('classes', 'classes.id', 'memberships.classId')
    .select('memberships.*', 'classes.name as className')
}

export async function findClassName(
  reader: Reader,
  id: string,
): Promise<{ name: string; endedAt: Instant | null } | null> {
  return (await reader.sql('classes').where({ id }).first('name', 'endedAt')) ?? null
}

export interface MembershipWrite extends TimeWindow {
  readonly personId: string
  readonly classId: string
  readonly role: ClassRole
  readonly firstDay: LocalDay | null
  readonly lastDay: LocalDay | null
}

export async function insertMembership(
  trx: Trx,
  { from, until, ...write }: MembershipWrite,
): Promise<string> {
  const id = trx.newId()
  await trx.sql('memberships').insert({ id, ...write, fromAt: from, untilAt: until, revision: 1 })
  return id
}

export async function updateMembership(
  trx: Trx,
  id: string,
  revision: number,
  { from, until, firstDay, lastDay }: Pick<MembershipWrite, 'from' | 'until' | 'firstDay' | 'lastDay'>,
): Promise<boolean> {
  const next = { fromAt: from, untilAt: until, firstDay, lastDay, revision: revision + 1 }
  return (await trx.sql('memberships').where({ id, revision }).update(next)) === 1
}

interface MembershipRecord extends Omit<Membership, 'state'> {
  fromAt: string | null
  untilAt: string | null
}

function toMembership({ fromAt, untilAt, ...row }: MembershipRecord, now: Instant): Membership {
  return { ...row, state: windowState({ from: fromAt, until: untilAt }, now) }
}
