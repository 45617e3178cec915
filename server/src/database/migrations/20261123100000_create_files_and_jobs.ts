// Which files are kept, and what is to be done in the background.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123100000_create_files_and_jobs'

/** The tables that it makes. */
export const tables: readonly string[] = ['files', 'jobs']

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'files',
    {
      sha256: { type: 'text' },
      bytes: { type: 'integer' },
      createdAt: { type: 'text' },
      // Since when nothing refers to it, as the last sweep saw it.
      looseSince: { type: 'text', nullable: true },
    },
    { primaryKey: ['sha256'] },
  )
  await createTable(
    knex,
    'jobs',
    {
      id: { type: 'text' },
      kind: { type: 'text' },
      payload: { type: 'text' },
      // At most one job that is still to be done carries it.
      dedupeKey: { type: 'text', nullable: true },
      runAt: { type: 'text' },
      leaseUntil: { type: 'text', nullable: true },
      attempts: { type: 'integer' },
      failedAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['id'], unique: [['dedupeKey']], indexes: { jobsDue: ['failedAt', 'runAt', 'id'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['jobs', 'files'])
}
