// Whether Today tells somebody of their week, which they can switch off.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261202120000_add_shows_week'

export const tables: readonly string[] = []

const columns = { showsWeek: { type: 'flag', before: 1 } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'people', columns)
}

export async function down(knex: Knex): Promise<void> {
  await dropColumns(knex, 'people', Object.keys(columns))
}
