// Stored requirements, and what was found of them, say which schema they have.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261129170000_number_schemas_of_requirements'

/** The tables that it makes. */
export const tables: readonly string[] = []

const columns = { requirementsSchema: { type: 'integer', before: 1 } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'assignments', columns)
  await addColumns(knex, 'submissions', columns)
}

export async function down(knex: Knex): Promise<void> {
  await dropColumns(knex, 'assignments', Object.keys(columns))
  await dropColumns(knex, 'submissions', Object.keys(columns))
}
