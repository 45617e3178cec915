// What tells logbooks apart, and what their entries are found by.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261130180000_extend_logbooks'

/** The tables that it makes. */
export const tables: readonly string[] = ['entryTags']

const logbookColumns = {
  summary: { type: 'text', before: '' },
  coverId: { type: 'text', nullable: true, references: 'evidence.id', onDelete: 'set null' },
  // Without a reference: a sheet that ships is no row, and one of somebody else may go.
  usualSheetId: { type: 'text', nullable: true },
  classId: { type: 'text', nullable: true, references: 'classes.id', onDelete: 'set null' },
} as const

const entryColumns = {
  sheetId: { type: 'text', nullable: true },
  sheetTitle: { type: 'text', nullable: true },
  asked: { type: 'integer', before: 0 },
  answered: { type: 'integer', before: 0 },
  recordings: { type: 'integer', before: 0 },
  searchRow: { type: 'integer', before: 0 },
} as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'logbooks', logbookColumns)
  await addColumns(knex, 'logEntries', entryColumns)
  await createTable(
    knex,
    'entryTags',
    {
      entryId: { type: 'text', references: 'logEntries.id', onDelete: 'cascade' },
      tagKey: { type: 'text' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      tag: { type: 'text' },
      position: { type: 'integer' },
    },
    { primaryKey: ['entryId', 'tagKey'], indexes: { entriesTagged: ['ownerId', 'tagKey', 'entryId'] } },
  )
  await knex.raw('CREATE INDEX "logbooksWithCover" ON "logbooks" ("coverId")')
  await knex.raw('CREATE INDEX "logbooksOfClass" ON "logbooks" ("classId")')
  await knex.raw('CREATE INDEX "unindexedEntries" ON "logEntries" ("id") WHERE "searchRow" = 0')
}

export async function down(knex: Knex): Promise<void> {
  for (const index of ['logbooksWithCover', 'logbooksOfClass', 'unindexedEntries'])
    await knex.raw(`DROP INDEX "${index}"`)
  await dropTables(knex, tables)
  await dropColumns(knex, 'logEntries', Object.keys(entryColumns))
  await dropColumns(knex, 'logbooks', Object.keys(logbookColumns))
}
