// Question sheets, their published versions, and the classes that they are offered to.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'
import { createThingTable } from '../createThingTable.ts'

export const name = '20261130170000_create_prompt_sheets'

/** The tables that it makes. */
export const tables: readonly string[] = ['promptSheets', 'promptSheetVersions', 'promptSheetOffers']

export async function up(knex: Knex): Promise<void> {
  const told = { title: { type: 'text' }, about: { type: 'text' }, questions: { type: 'integer' } } as const
  await createThingTable(
    knex,
    'promptSheets',
    { content: { type: 'text' }, ...told, n: { type: 'integer' }, isNewer: { type: 'flag' } },
    { indexes: { sheetsOfOwner: ['ownerId', 'isBinned', 'id'] } },
  )
  await createTable(
    knex,
    'promptSheetVersions',
    {
      sheetId: { type: 'text', references: 'promptSheets.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      content: { type: 'text' },
      ...told,
      at: { type: 'text' },
    },
    { primaryKey: ['sheetId', 'n'] },
  )
  await createTable(
    knex,
    'promptSheetOffers',
    {
      sheetId: { type: 'text', references: 'promptSheets.id', onDelete: 'cascade' },
      classId: { type: 'text', references: 'classes.id', onDelete: 'cascade' },
    },
    { primaryKey: ['sheetId', 'classId'], indexes: { sheetsForClass: ['classId', 'sheetId'] } },
  )
}

export function down(knex: Knex): Promise<void> {
  return dropTables(knex, [...tables].reverse())
}
