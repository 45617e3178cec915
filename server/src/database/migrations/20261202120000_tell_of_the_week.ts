// Whether Today tells somebody of their week, which they can switch off; and what a logbook of many entries is asked for.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261202120000_tell_of_the_week'

export const tables: readonly string[] = []

const columns = { showsWeek: { type: 'flag', before: 1 } } as const
const index = 'entriesOfSheet'

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'people', columns)
  await knex.raw(`CREATE INDEX "${index}" ON "logEntries" ("logbookId", "isBinned", "sheetId", "day")`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'people', Object.keys(columns))
}
