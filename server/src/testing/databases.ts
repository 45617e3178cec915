// Databases for tests: a SQLite file of its own each time, and PostgreSQL as well where there is one.
import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
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
  const file = join(folder, 'valise.sqlite')
  if (migrated) copyFileSync(await findMigratedSqlite(), file)
  const database = openSqlite({ file, clock, synced: false })
  opened.push(async () => {
    await database.close()
    rmSync(folder, { recursive: true })
  })
  return database
}

const openTestPostgres: OpenDatabase = async ({ clock = shiftedClock(TEST_START), migrated = true } = {}) => {
  const name = `test_${randomUUID().replaceAll('-', '')}`
  await asAdmin(`CREATE DATABASE ${name} TEMPLATE ${migrated ? await findMigratedPostgres() : 'template0'}`)
  const database = await openPostgres({ host: postgresHost(), user: 'valise', database: name }, clock)
  opened.push(() => database.close())
  return database
}

// Migrating takes longer than most tests: each worker does it once, and its tests begin with copies.
const worker = process.env['JEST_WORKER_ID'] ?? '1'

async function findMigratedSqlite(): Promise<string> {
  const folder = process.env['VALISE_TEST_FOLDER']
  if (folder === undefined) throw new Error('beforeTests.mjs has not made the folder that tests share')
  const file = join(folder, `migrated-${worker}.sqlite`)
  if (existsSync(file)) return file
  const making = `${file}.making`
  const database = openSqlite({ file: making, clock: shiftedClock(TEST_START), synced: false })
  await migrateToLatest(database)
  await database.close()
  renameSync(making, file)
  return file
}

async function findMigratedPostgres(): Promise<string> {
  const name = `migrated_${worker}`
  const there = await asAdmin(`SELECT 1 FROM pg_database WHERE datname = '${name}'`)
  if (there.length > 0) return name
  const making = `${name}_making`
  await asAdmin(`CREATE DATABASE ${making}`)
  const connection = { host: postgresHost(), user: 'valise', database: making }
  const database = await openPostgres(connection, shiftedClock(TEST_START))
  await migrateToLatest(database)
  await database.close()
  await asAdmin(`ALTER DATABASE ${making} RENAME TO ${name}`)
  return name
}

async function asAdmin(sql: string): Promise<unknown[]> {
  const admin = new Client({ host: postgresHost(), user: 'valise', database: 'postgres' })
  await admin.connect()
  try {
    return (await admin.query(sql)).rows
  } finally {
    await admin.end()
  }
}

function postgresHost(): string {
  return process.env['VALISE_TEST_POSTGRES'] ?? ''
}

/** Runs the same tests on each kind of database that this machine has. */
export function describeEachDatabase(name: string, tests: (open: OpenDatabase) => void): void {
  describe(`${name} (SQLite)`, () => tests(openTestSqlite))
  if (process.env['VALISE_TEST_POSTGRES']) describe(`${name} (PostgreSQL)`, () => tests(openTestPostgres))
}
