// Databases for tests: a SQLite file of its own each time, and PostgreSQL as well where there is one.
import { randomUUID } from 'node:crypto'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Client } from 'pg'
import { shiftedClock } from '../clock.ts'
import type { Clock } from '../clock.ts'
import { migrateToLatest, openPostgres, openSqlite } from '../database/index.ts'
import type { Database } from '../database/index.ts'

/** The moment at which every test begins. */
export const TEST_START = '2026-11-26T10:42:00.000Z'

export type OpenDatabase = (options?: { clock?: Clock; migrated?: boolean }) => Promise<Database>

const opened: (() => Promise<void>)[] = []
afterAll(async () => {
  for (const close of opened.splice(0)) await close()
})

export const openTestSqlite: OpenDatabase = async ({
  clock = shiftedClock(TEST_START),
  migrated = true,
} = {}) => {
  const folder = mkdtempSync(join(tmpdir(), 'valise-test-'))
  const database = openSqlite({ file: join(folder, 'valise.sqlite'), clock, synced: false })
  opened.push(async () => {
    await database.close()
    rmSync(folder, { recursive: true })
  })
  if (migrated) await migrateToLatest(database)
  return database
}

const openTestPostgres: OpenDatabase = async ({ clock = shiftedClock(TEST_START), migrated = true } = {}) => {
  const host = process.env['VALISE_TEST_POSTGRES'] ?? ''
  const name = `test_${randomUUID().replaceAll('-', '')}`
  const admin = new Client({ host, user: 'valise', database: 'postgres' })
  await admin.connect()
  await admin.query(`CREATE DATABASE ${name}`)
  await admin.end()
  const database = await openPostgres({ host, user: 'valise', database: name }, clock)
  opened.push(() => database.close())
  if (migrated) await migrateToLatest(database)
  return database
}

/** Runs the same tests on each kind of database that this machine has. */
export function describeEachDatabase(name: string, tests: (open: OpenDatabase) => void): void {
  describe(`${name} (SQLite)`, () => tests(openTestSqlite))
  if (process.env['VALISE_TEST_POSTGRES']) describe(`${name} (PostgreSQL)`, () => tests(openTestPostgres))
}
