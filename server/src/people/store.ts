// People, year groups and memberships in the database.
import { foldText, resolveShownName, toSignInKey } from '@valise/core/people'
import type {
  ClassRole,
  Language,
  Membership,
  PeopleQuery,
  Person,
  PersonInput,
  PersonPage,
  PersonRow,
  School,
  ShownNameRule,
  YearGroup,
} from '@valise/core/people'
import { windowState } from '@valise/core/time'
import type { Instant, LocalDay, TimeWindow } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, parseCursor, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

export async function getSchool(reader: Reader): Promise<School> {
  const row = await reader.sql('schools').select('name', 'timeZone', 'language').first()
  if (!row) throw new Error('this data folder holds no school yet')
  return row
}

export async function hasSchool(reader: Reader): Promise<boolean> {
  return (await reader.sql('schools').first('id')) !== undefined
}

export async function insertSchool(trx: Trx, school: School): Promise<void> {
  await trx.sql('schools').insert({ id: trx.newId(), ...school, revision: 1 })
}

export async function insertYearGroup(
  trx: Trx,
  yearGroup: Omit<YearGroup, 'id'>,
  position: number,
): Promise<string> {
  const id = trx.newId()
  await trx.sql('yearGroups').insert({ id, ...yearGroup, position, revision: 1 })
  return id
}

export async function listYearGroups(reader: Reader): Promise<YearGroup[]> {
  return reader
    .sql('yearGroups')
    .select('id', 'name', 'shownNameRule', 'idleMinutes', 'absoluteMinutes')
    .orderBy(['position', 'id'])
}

/** Narrows a query over something dated to the rows that hold at the moment. */
export function isPresent(query: Knex.QueryBuilder, table: string, now: Instant): void {
  query
    .where((from) => from.whereNull(`${table}.fromAt`).orWhere(`${table}.fromAt`, '<=', now))
    .where((until) => until.whereNull(`${table}.untilAt`).orWhere(`${table}.untilAt`, '>', now))
}

/** People with the year group of the moment, under the names `people`, `stay` and `yearGroup`. */
export function peopleNow(reader: Reader): Knex.QueryBuilder {
  const { now } = reader
  return reader
    .sql('people')
    .leftJoin('yearGroupStays as stay', (join) => {
      join
        .on('stay.personId', 'people.id')
        .andOnVal('stay.fromAt', '<=', now)
        .andOn((until) => {
          until.onNull('stay.untilAt').orOnVal('stay.untilAt', '>', now)
        })
    })
    .leftJoin('yearGroups as yearGroup', 'yearGroup.id', 'stay.yearGroupId')
}

export async function findPerson(reader: Reader, id: string): Promise<Person | null> {
  const row = await peopleNow(reader)
    .leftJoin('passwords', 'passwords.personId', 'people.id')
    .where('people.id', id)
    .select('people.*', 'yearGroup.id as yearGroupId', 'yearGroup.shownNameRule', 'passwords.hash')
    .first()
  return row ? toPerson(row) : null
}

export async function listPeople(reader: Reader, query: PeopleQuery): Promise<PersonPage> {
  const limit = query.limit ?? 50
  const matching = () => peopleNow(reader).modify((q) => narrowPeople(q, reader, query))
  const rows: PersonRecord[] = await matching()
    .leftJoin('passwords', 'passwords.personId', 'people.id')
    .select('people.*', 'yearGroup.id as yearGroupId', 'yearGroup.shownNameRule', 'passwords.hash')
    .modify((q) => {
      if (query.cursor === undefined) return
      const [name = '', id = ''] = parseCursor(query.cursor, 2)
      q.where((later) =>
        later
          .where('people.sortName', '>', name)
          .orWhere((same) => same.where('people.sortName', name).where('people.id', '>', id)),
      )
    })
    .orderBy(['people.sortName', 'people.id'])
    .limit(limit + 1)
  const shown = rows.slice(0, limit)
  const memberships = await listPresentMemberships(
    reader,
    shown.map((row) => row.id),
  )
  const last = shown.at(-1)
  return {
    items: shown.map((row) => toPersonRow(row, memberships.get(row.id) ?? [])),
    next: rows.length > limit && last ? toCursor([last.sortName, last.id]) : null,
    count: await countRows(matching()),
  }
}

/** Everybody who may come in, by name, with the name of the year group. */
export function listPresentPeople(
  reader: Reader,
): Promise<{ id: string; fullName: string; signInName: string; yearGroup: string | null }[]> {
  return peopleNow(reader)
    .whereNull('people.endedAt')
    .select('people.id', 'people.fullName', 'people.signInName', 'yearGroup.name as yearGroup')
    .orderBy(['people.sortName', 'people.id'])
    .then((rows) => rows)
}

function narrowPeople(q: Knex.QueryBuilder, reader: Reader, query: PeopleQuery): void {
  const state = query.state ?? 'present'
  if (state === 'present') q.whereNull('people.endedAt')
  if (state === 'ended') q.whereNotNull('people.endedAt')
  if (query.yearGroupId) q.where('yearGroup.id', query.yearGroupId)
  if (query.classId) {
    const inClass = reader.sql('memberships').select('personId').where('memberships.classId', query.classId)
    isPresent(inClass, 'memberships', reader.now)
    q.whereIn('people.id', inClass)
  }
  const text = foldText(query.text ?? '')
  if (text !== '') {
    const pattern = `%${text.replace(/[\\%_]/g, '\\$&')}%`
    q.where((either) =>
      either
        .whereRaw(`people.?? LIKE ? ESCAPE '\\'`, ['sortName', pattern])
        .orWhereRaw(`people.?? LIKE ? ESCAPE '\\'`, ['signInKey', pattern]),
    )
  }
}

type RowMembership = PersonRow['memberships'][number]

async function listPresentMemberships(
  reader: Reader,
  personIds: string[],
): Promise<Map<string, RowMembership[]>> {
  const rows = await reader
    .sql('memberships')
    .join('classes', 'classes.id', 'memberships.classId')
    .whereIn('memberships.personId', personIds)
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

/** The spans of a person's memberships, for the rule that they must not overlap. */
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

export async function insertPerson(trx: Trx, input: PersonInput): Promise<string> {
  const id = trx.newId()
  await trx.sql('people').insert({
    id,
    ...toPersonColumns(input),
    letterKeys: 1,
    createdAt: trx.now,
    endedAt: null,
    revision: 1,
  })
  if (input.yearGroupId !== null) await insertYearGroupStay(trx, id, input.yearGroupId)
  return id
}

/** Changes a person at this revision; false when somebody was faster. */
export async function updatePerson(
  trx: Trx,
  id: string,
  revision: number,
  input: PersonInput,
): Promise<boolean> {
  const changed = await trx
    .sql('people')
    .where({ id, revision })
    .update({ ...toPersonColumns(input), revision: revision + 1 })
  return changed === 1
}

export async function setPersonEnded(
  trx: Trx,
  id: string,
  revision: number,
  endedAt: Instant | null,
): Promise<boolean> {
  return (
    (await trx
      .sql('people')
      .where({ id, revision })
      .update({ endedAt, revision: revision + 1 })) === 1
  )
}

/** Year groups are dated: the stay of the moment ends and another begins. */
export async function moveToYearGroup(trx: Trx, personId: string, yearGroupId: string | null): Promise<void> {
  await trx.sql('yearGroupStays').where({ personId, untilAt: null }).update({ untilAt: trx.now })
  if (yearGroupId !== null) await insertYearGroupStay(trx, personId, yearGroupId)
}

async function insertYearGroupStay(trx: Trx, personId: string, yearGroupId: string): Promise<void> {
  await trx
    .sql('yearGroupStays')
    .insert({ id: trx.newId(), personId, yearGroupId, fromAt: trx.now, untilAt: null })
}

export async function hasYearGroup(reader: Reader, id: string): Promise<boolean> {
  return (await reader.sql('yearGroups').where({ id }).first()) !== undefined
}

export async function findClassName(
  reader: Reader,
  id: string,
): Promise<{ name: string; endedAt: Instant | null } | null> {
  return (await reader.sql('classes').where({ id }).first('name', 'endedAt')) ?? null
}

export async function hasSignInKey(
  reader: Reader,
  signInName: string,
  butPersonId: string | null,
): Promise<boolean> {
  const row = await reader
    .sql('people')
    .where({ signInKey: toSignInKey(signInName) })
    .first('id')
  return row !== undefined && row.id !== butPersonId
}

export function countAdministrators(reader: Reader): Promise<number> {
  return countRows(reader.sql('people').where({ administrator: 1, endedAt: null }))
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

function toPersonColumns(input: PersonInput) {
  return {
    fullName: input.fullName,
    firstName: input.firstName,
    chosenName: input.chosenName,
    sortName: foldText(input.fullName),
    signInName: input.signInName,
    signInKey: toSignInKey(input.signInName),
    email: input.email,
    language: input.language,
    administrator: Number(input.administrator),
  }
}

interface PersonRecord {
  id: string
  fullName: string
  firstName: string
  chosenName: string | null
  sortName: string
  signInName: string
  email: string | null
  language: Language
  administrator: number
  endedAt: string | null
  revision: number
  yearGroupId: string | null
  shownNameRule: ShownNameRule | null
  hash: string | null
}

interface MembershipRecord extends Omit<Membership, 'state'> {
  fromAt: string | null
  untilAt: string | null
}

function toPersonRow(row: PersonRecord, memberships: RowMembership[]): PersonRow {
  return {
    id: row.id,
    fullName: row.fullName,
    shownName: resolveShownName(row, row.shownNameRule),
    signInName: row.signInName,
    administrator: row.administrator === 1,
    yearGroupId: row.yearGroupId,
    endedAt: row.endedAt,
    hasPassword: row.hash !== null,
    revision: row.revision,
    memberships,
  }
}

function toPerson(row: PersonRecord): Person {
  const { memberships: _, ...shared } = toPersonRow(row, [])
  return {
    ...shared,
    firstName: row.firstName,
    chosenName: row.chosenName,
    email: row.email,
    language: row.language,
  }
}

function toMembership({ fromAt, untilAt, ...row }: MembershipRecord, now: Instant): Membership {
  return { ...row, state: windowState({ from: fromAt, until: untilAt }, now) }
}
