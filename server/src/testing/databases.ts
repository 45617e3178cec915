// Databases for tests: a SQLite file for each test, and where there is PostgreSQL a database for each file of tests.
import { randomUUID } from 'node:crypto'
import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Client } from 'pg'
import { shiftedClock } from '../system/index.ts'
import type { Clock } from '../system/index.ts'
import { migrateToLatest, openPostgres, openSqlite } from '../database/index.ts'
import type { Database } from '../database/index.ts'

/** The time at which every test starts. */
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

/** A PostgreSQL database of this file of tests; the next test that needs one takes it over, emptied. */
interface PostgresSeat {
  readonly name: string
  readonly migrated: boolean
  /** What the last test that sat here opened. */
  database: Database
  isFree: boolean
}

const seats: PostgresSeat[] = []
afterEach(() => {
  for (const seat of seats) seat.isFree = true
})

const openTestPostgres: OpenDatabase = async ({ clock = shiftedClock(TEST_START), migrated = true } = {}) => {
  const connect = (database: string) =>
    openPostgres({ host: postgresHost(), user: 'valise', database }, clock)
  const free = seats.find((seat) => seat.isFree && seat.migrated === migrated)
  if (free) {
    free.isFree = false
    await free.database.close()
    free.database = await connect(free.name)
    await (migrated ? emptyTables(free.database) : removeTables(free.database))
    return free.database
  }
  const name = `test_${randomUUID().replaceAll('-', '')}`
  await asAdmin(`CREATE DATABASE ${name} TEMPLATE ${migrated ? await findMigratedPostgres() : 'template0'}`)
  const seat = { name, migrated, database: await connect(name), isFree: false }
  seats.push(seat)
  opened.push(() => seat.database.close())
  return seat.database
}

/** Takes every row out; which of them refer to which does not matter when all go. */
async function emptyTables({ writer }: Database): Promise<void> {
  const tables = await writer('pg_tables')
    .where('schemaname', 'public')
    .whereNot('tablename', 'like', 'knex%')
    .pluck<string[]>('tablename')
  await writer.transaction(async (trx) => {
    await trx.raw('SET LOCAL session_replication_role = replica')
    await trx.raw(tables.map((table) => `DELETE FROM "${table}"`).join(';'))
  })
}

async function removeTables({ writer }: Database): Promise<void> {
  await writer.raw('DROP SCHEMA public CASCADE; CREATE SCHEMA public')
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

/**
 * Runs the same tests on each kind of database that this machine has, since stores, scopes and query plans can
 * differ.
 *
 * @param tests gets a function that opens a database, and `onSqlite`: an `it` for what is above the stores and asks
 *   nothing of the database that another test does not ask
 */
export function describeEachDatabase(
  name: string,
  tests: (open: OpenDatabase, onSqlite: jest.It) => void,
): void {
  describe(`${name} (SQLite)`, () => tests(openTestSqlite, it))
  if (process.env['VALISE_TEST_POSTGRES'])
    describe(`${name} (PostgreSQL)`, () => tests(openTestPostgres, nowhere))
}

/** An `it` that declares no test. */
const nowhere = Object.assign(() => undefined, { each: () => () => undefined }) as unknown as jest.It
