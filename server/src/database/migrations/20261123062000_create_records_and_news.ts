// Who did what when, and what people are told about it.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123062000_create_records_and_news'

/** The tables that it makes. */
export const tables: readonly string[] = ['auditRecords', 'news']

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'auditRecords',
    {
      id: { type: 'text' },
      at: { type: 'text' },
      // No foreign keys: a record outlives what it is about.
      actorId: { type: 'text', nullable: true },
      actorRole: { type: 'text' },
      action: { type: 'text' },
      subject: { type: 'text' },
      subjectId: { type: 'text', nullable: true },
      changes: { type: 'text' },
    },
    {
      primaryKey: ['id'],
      indexes: {
        auditRecordsByTime: ['at', 'id'],
        auditRecordsByActor: ['actorId', 'at'],
        auditRecordsBySubject: ['subjectId', 'at'],
        auditRecordsByAction: ['action', 'at'],
      },
    },
  )
  await createTable(
    knex,
    'news',
    {
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      id: { type: 'text' },
      kind: { type: 'text' },
      params: { type: 'text' },
      at: { type: 'text' },
      seenAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['personId', 'id'] },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['news', 'auditRecords'])
}
