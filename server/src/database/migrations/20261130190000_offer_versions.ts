// What was made for question sheets is for all that somebody offers: their tables take in other kinds, and the school.
import type { Knex } from 'knex'
import { addColumns, dropColumns } from '../createTable.ts'

export const name = '20261130190000_offer_versions'

/** The tables that it makes, from others of before. */
export const tables: readonly string[] = ['offered', 'offeredVersions', 'offers']

const renamed = [
  ['promptSheets', 'offered'],
  ['promptSheetVersions', 'offeredVersions'],
  ['promptSheetOffers', 'offers'],
] as const

const added = { kind: { type: 'text', before: 'sheet' }, isForSchool: { type: 'flag', before: 0 } } as const

export async function up(knex: Knex): Promise<void> {
  for (const index of ['sheetsOfOwner', 'sheetsForClass']) await knex.raw(`DROP INDEX "${index}"`)
  for (const [before, after] of renamed) await knex.raw(`ALTER TABLE "${before}" RENAME TO "${after}"`)
  for (const table of ['offered', 'offeredVersions']) await renameColumn(knex, table, 'questions', 'size')
  for (const table of ['offeredVersions', 'offers']) await renameColumn(knex, table, 'sheetId', 'offeredId')
  await addColumns(knex, 'offered', added)
  await knex.raw('CREATE INDEX "offeredOfOwner" ON "offered" ("ownerId", "kind", "isBinned", "id")')
  await knex.raw('CREATE INDEX "offersForClass" ON "offers" ("classId", "offeredId")')
  await knex.raw('CREATE INDEX "offeredForSchool" ON "offered" ("kind", "id") WHERE "isForSchool" = 1')
}

export async function down(knex: Knex): Promise<void> {
  for (const index of ['offeredOfOwner', 'offersForClass', 'offeredForSchool'])
    await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'offered', Object.keys(added))
  for (const table of ['offeredVersions', 'offers']) await renameColumn(knex, table, 'offeredId', 'sheetId')
  for (const table of ['offered', 'offeredVersions']) await renameColumn(knex, table, 'size', 'questions')
  for (const [before, after] of renamed) await knex.raw(`ALTER TABLE "${after}" RENAME TO "${before}"`)
  await knex.raw('CREATE INDEX "sheetsOfOwner" ON "promptSheets" ("ownerId", "isBinned", "id")')
  await knex.raw('CREATE INDEX "sheetsForClass" ON "promptSheetOffers" ("classId", "sheetId")')
}

async function renameColumn(knex: Knex, table: string, before: string, after: string): Promise<void> {
  await knex.raw(`ALTER TABLE "${table}" RENAME COLUMN "${before}" TO "${after}"`)
}
