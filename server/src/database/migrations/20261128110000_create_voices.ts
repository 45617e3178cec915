// Voices over things: which recording speaks of which item, and the moments at which it points at something.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261128110000_create_voices'

/** The tables that it makes. */
export const tables: readonly string[] = ['voices']

const uploadColumns = {
  // The item that a recording speaks of, and the moments that were marked while it was made, as JSON.
  aboutId: { type: 'text', nullable: true, references: 'evidence.id', onDelete: 'set null' },
  moments: { type: 'text', nullable: true },
} as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'uploads', uploadColumns)
  await knex.raw('CREATE INDEX "uploadsAbout" ON "uploads" ("aboutId")')
  const evidenceId = { type: 'text', references: 'evidence.id', onDelete: 'cascade' } as const
  await createTable(
    knex,
    'voices',
    {
      // The recording, which is an item itself.
      voiceId: evidenceId,
      aboutId: evidenceId,
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      moments: { type: 'text' },
      createdAt: { type: 'text' },
      revision: { type: 'integer' },
    },
    { primaryKey: ['voiceId'], indexes: { voicesAbout: ['aboutId'], voicesOfOwner: ['ownerId'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['voices'])
  await knex.raw('DROP INDEX "uploadsAbout"')
  await dropColumns(knex, 'uploads', Object.keys(uploadColumns))
}
