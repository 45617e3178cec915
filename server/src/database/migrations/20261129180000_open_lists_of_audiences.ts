// The list of audiences grows with the product, so tables no longer repeat it.
import type { Knex } from 'knex'
import { dropCheck, restoreCheck } from '../createTable.ts'

export const name = '20261129180000_open_lists_of_audiences'

// SQLite rebuilds a table with foreign keys off, which no transaction can do.
export const config = { transaction: false }

const audiences = ['person', 'assessors', 'class', 'link']
const tables = ['passes', 'sharingAllowances']

export async function up(knex: Knex): Promise<void> {
  for (const table of tables) await dropCheck(knex, table, 'audience')
}

export async function down(knex: Knex): Promise<void> {
  for (const table of tables) await restoreCheck(knex, table, 'audience', audiences)
}
