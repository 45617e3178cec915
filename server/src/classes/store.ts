// Classes in the database.
import { foldText, resolveShownName, toPlainLine } from '@valise/core/people'
import type { ClassRole, Names, ShownNameRule } from '@valise/core/people'
import type { Class, ClassInput, RosterMember } from '@valise/core/classes'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { isPresent, peopleNow } from '../people/index.ts'

/** Lists classes by name: those with these ids, or all. */
export async function listClasses(reader: Reader, ids: readonly string[] | 'all'): Promise<Class[]> {
  const rows: ClassRecord[] = await classRows(reader)
    .modify((q) => ids !== 'all' && q.modify(isOneOf, 'classes.id', ids))
    .orderBy(['classes.sortName', 'classes.id'])
  return rows.map(toClass)
}

export async function findClass(reader: Reader, id: string): Promise<Class | null> {
  const row: ClassRecord | undefined = await classRows(reader).where('classes.id', id).first()
  return row ? toClass(row) : null
}

/** Lists the current members of a class by shown name, assessors first. */
export async function listRoster(
  reader: Reader,
  classId: string,
  myId: string | null,
): Promise<RosterMember[]> {
  const rows: RosterRecord[] = await peopleNow(reader)
    .join('memberships', 'memberships.personId', 'people.id')
    .where('memberships.classId', classId)
    .whereNull('people.endedAt')
    .modify(isPresent, 'memberships', reader.now)
    .select(
      'people.id',
      'people.fullName',
      'people.firstName',
      'people.chosenName',
      'yearGroup.shownNameRule',
    )
    .select('memberships.role')
    .orderBy(['people.sortName', 'people.id'])
  const members = rows.map((row) => ({
    personId: row.id,
    shownName: resolveShownName(row, row.shownNameRule),
    role: row.role,
    me: row.id === myId,
  }))
  return [
    ...members.filter((one) => one.role !== 'student'),
    ...members.filter((one) => one.role === 'student'),
  ]
}

export async function hasClassCode(reader: Reader, code: string, butId: string | null): Promise<boolean> {
  const row = await reader
    .sql('classes')
    .where({ codeKey: foldText(code) })
    .first('id')
  return row !== undefined && row.id !== butId
}

export async function insertClass(trx: Trx, input: ClassInput): Promise<string> {
  const id = trx.newId()
  await trx.sql('classes').insert({ id, ...toColumns(input), createdAt: trx.now, endedAt: null, revision: 1 })
  return id
}

export async function updateClass(
  trx: Trx,
  id: string,
  revision: number,
  input: ClassInput,
): Promise<boolean> {
  const changed = await trx
    .sql('classes')
    .where({ id, revision })
    .update({ ...toColumns(input), revision: revision + 1 })
  return changed === 1
}

/** Classes with how many are in each now; counted for the classes asked for, in the same query. */
function classRows(reader: Reader): Knex.QueryBuilder {
  const { sql, now } = reader
  const counted = (roles: readonly ClassRole[]) =>
    sql('memberships')
      .join('people', 'people.id', 'memberships.personId')
      .where('memberships.classId', sql.ref('classes.id'))
      .whereIn('memberships.role', roles)
      .whereNull('people.endedAt')
      .modify(isPresent, 'memberships', now)
      .count('*')
  return sql('classes').select('classes.*', {
    students: counted(['student']),
    assessors: counted(['assessor', 'lead']),
  })
}

interface ClassRecord extends Class {
  readonly codeKey: string
  readonly sortName: string
  readonly createdAt: string
}

interface RosterRecord extends Names {
  readonly id: string
  readonly shownNameRule: ShownNameRule | null
  readonly role: ClassRole
}

function toColumns(input: ClassInput) {
  const name = toPlainLine(input.name)
  const code = toPlainLine(input.code)
  return { name, code, codeKey: foldText(code), sortName: foldText(name) }
}

function toClass({ codeKey: _, sortName: __, createdAt: ___, ...row }: ClassRecord): Class {
  return row
}
