// When edits were written that came later, and what a hand-in knows of them.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261202100000_add_written_at'

export const tables: readonly string[] = []

const maybe = { type: 'text', nullable: true } as const
const editColumns = { writtenAt: maybe } as const
// When its content was pinned, and when the last of it came that had been written before it was due.
const submissionColumns = { pinnedAt: maybe, cameAt: maybe } as const
const index = 'draftEditsCameLater'

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'draftEdits', editColumns)
  await addColumns(knex, 'submissions', submissionColumns)
  await knex.raw(`CREATE INDEX "${index}" ON "draftEdits" ("at") WHERE "writtenAt" IS NOT NULL`)
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'submissions', Object.keys(submissionColumns))
  await dropColumns(knex, 'draftEdits', Object.keys(editColumns))
}
