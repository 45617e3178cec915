// Whose work a job is, so that people are served in turn.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261129100000_add_person_to_jobs'

/** The tables that it makes. */
export const tables: readonly string[] = []

const jobColumns = { personId: { type: 'text', nullable: true } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'jobs', jobColumns)
}

export async function down(knex: Knex): Promise<void> {
  await dropColumns(knex, 'jobs', Object.keys(jobColumns))
}
