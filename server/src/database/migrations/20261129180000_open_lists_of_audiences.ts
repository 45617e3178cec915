// The list of audiences grows with the product, so tables no longer repeat it.
import type { Knex } from 'knex'
import { dropCheck, reshapeTables, restoreCheck } from '../createTable.ts'

export const name = '20261129180000_open_lists_of_audiences'

/** The tables that it makes. */
export const tables: readonly string[] = []

// SQLite rebuilds a table with foreign keys off, which no transaction can do.
export const config = { transaction: false }

const audiences = ['person', 'assessors', 'class', 'link']
const withAudiences = ['passes', 'sharingAllowances']

export async function up(knex: Knex): Promise<void> {
  await reshapeTables(knex, async (trx) => {
    for (const table of withAudiences) await dropCheck(trx, table, 'audience')
  })
}

export async function down(knex: Knex): Promise<void> {
  await reshapeTables(knex, async (trx) => {
    for (const table of withAudiences) await restoreCheck(trx, table, 'audience', audiences)
  })
}
