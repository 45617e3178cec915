// An outcome can take feedback along, beside the sentence that asks for changes.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261129140000_send_feedback_with_outcomes'

/** The tables that it makes. */
export const tables: readonly string[] = []

const submissionColumns = { feedbackWithOutcomeId: { type: 'text', nullable: true } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'submissions', submissionColumns)
}

export async function down(knex: Knex): Promise<void> {
  await dropColumns(knex, 'submissions', Object.keys(submissionColumns))
}
