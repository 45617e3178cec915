// People and the year groups they are in, in the database.
import { foldText, resolveShownName, toSignInKey } from '@valise/core/people'
import type {
  Language,
  PeopleQuery,
  Person,
  PersonInput,
  PersonPage,
  PersonRow,
  ShownNameRule,
} from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, parseCursor, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { listPresentMemberships } from './membershipStore.ts'
import type { RowMembership } from './membershipStore.ts'
import { isPresent, peopleNow } from './presenceStore.ts'

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

/** Lists everybody with an open account by name, with the name of the year group. */
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

/** Updates a person; false when the revision has changed. */
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

/** Moves a person to a year group. Stays are dated: the current one ends and a new one starts. */
export async function moveToYearGroup(trx: Trx, personId: string, yearGroupId: string | null): Promise<void> {
  await trx.sql('yearGroupStays').where({ personId, untilAt: null }).update({ untilAt: trx.now })
  if (yearGroupId !== null) await insertYearGroupStay(trx, personId, yearGroupId)
}

async function insertYearGroupStay(trx: Trx, personId: string, yearGroupId: string): Promise<void> {
  await trx
    .sql('yearGroupStays')
    .insert({ id: trx.newId(), personId, yearGroupId, fromAt: trx.now, untilAt: null })
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

/** Returns the name by which outside services know a person. */
export async function findSignInName(reader: Reader, personId: string): Promise<string> {
  const row = await reader.sql('people').where({ id: personId }).first('signInName')
  return row?.signInName ?? ''
}
