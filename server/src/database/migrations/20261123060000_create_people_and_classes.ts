// The school, its year groups, people, classes and dated memberships.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123060000_create_people_and_classes'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'schools',
  'yearGroups',
  'people',
  'yearGroupStays',
  'classes',
  'memberships',
]

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'schools',
    {
      id: { type: 'text' },
      name: { type: 'text' },
      timeZone: { type: 'text' },
      language: { type: 'text', oneOf: ['en', 'es'] },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'] },
  )
  await createTable(
    knex,
    'yearGroups',
    {
      id: { type: 'text' },
      name: { type: 'text' },
      position: { type: 'integer' },
      shownNameRule: { type: 'text', oneOf: ['full', 'first', 'chosen'] },
      idleMinutes: { type: 'integer' },
      absoluteMinutes: { type: 'integer' },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], unique: [['name']] },
  )
  await createTable(
    knex,
    'people',
    {
      id: { type: 'text' },
      fullName: { type: 'text' },
      firstName: { type: 'text' },
      chosenName: { type: 'text', nullable: true },
      sortName: { type: 'text' },
      signInName: { type: 'text' },
      signInKey: { type: 'text' },
      email: { type: 'text', nullable: true },
      language: { type: 'text', oneOf: ['en', 'es'] },
      letterKeys: { type: 'flag' },
      administrator: { type: 'flag' },
      createdAt: { type: 'text' },
      endedAt: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], unique: [['signInKey']], indexes: { peopleByName: ['sortName', 'id'] } },
  )
  await createTable(
    knex,
    'yearGroupStays',
    {
      id: { type: 'text' },
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      yearGroupId: { type: 'text', references: 'yearGroups.id' },
      fromAt: { type: 'text' },
      untilAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['id'], indexes: { yearGroupStaysByPerson: ['personId', 'fromAt'] } },
  )
  await createTable(
    knex,
    'classes',
    {
      id: { type: 'text' },
      name: { type: 'text' },
      code: { type: 'text' },
      codeKey: { type: 'text' },
      sortName: { type: 'text' },
      createdAt: { type: 'text' },
      endedAt: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    { primaryKey: ['id'], unique: [['codeKey']] },
  )
  await createTable(
    knex,
    'memberships',
    {
      id: { type: 'text' },
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      classId: { type: 'text', references: 'classes.id' },
      role: { type: 'text', oneOf: ['student', 'assessor', 'lead'] },
      // The instants decide; the days are the words they were given in, in the zone of the school.
      fromAt: { type: 'text', nullable: true },
      untilAt: { type: 'text', nullable: true },
      firstDay: { type: 'text', nullable: true },
      lastDay: { type: 'text', nullable: true },
      revision: { type: 'integer' },
    },
    {
      primaryKey: ['id'],
      indexes: {
        membershipsByPerson: ['personId', 'classId'],
        membershipsByClass: ['classId', 'role', 'personId'],
      },
    },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['memberships', 'classes', 'yearGroupStays', 'people', 'yearGroups', 'schools'])
}
