// Whoever ends a job says under which lease, so that a server that was silent for long does not end what another one does.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261130160000_name_leases_of_jobs'

/** The tables that it makes. */
export const tables: readonly string[] = []

export function up(knex: Knex): Promise<void> {
  return addColumns(knex, 'jobs', { lease: { type: 'text', nullable: true } })
}

export function down(knex: Knex): Promise<void> {
  return dropColumns(knex, 'jobs', ['lease'])
}
