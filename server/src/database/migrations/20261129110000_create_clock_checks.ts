// When the clock was looked at last, and from when on it is believed again after a jump.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261129110000_create_clock_checks'

/** The tables that it makes. */
export const tables: readonly string[] = ['clockChecks']

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'clockChecks',
    {
      // There is one row.
      id: { type: 'integer' },
      checkedAt: { type: 'text' },
      steadyFrom: { type: 'text' },
    },
    { primaryKey: ['id'] },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['clockChecks'])
}
