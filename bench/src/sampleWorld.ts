// Copies of the sample world that grow in one respect, so that a small and a large one can be compared.
import { cpSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { closeServices, createApp, databaseFile, openServices, readConfig } from '@valise/server'
import type { Services } from '@valise/server'
import Database from 'better-sqlite3'
import { startDemo } from './startProgram.ts'

const PASSWORD = 'low water at seven'

let built: Promise<string> | null = null

/** Builds the sample world once; its folder is removed at the end. */
function sampleWorldFolder(): Promise<string> {
  built ??= (async () => {
    const folder = mkdtempSync(join(tmpdir(), 'valise-sample-'))
    process.on('exit', () => rmSync(folder, { recursive: true, force: true }))
    const server = await startDemo(folder, 0)
    await server.stop()
    return folder
  })()
  return built
}

export type Row = Readonly<Record<string, string | number | null>>

export interface SampleCopy {
  readonly services: Services
  /** Asks as one of the sample people; it must be answered well. */
  askAs(signInName: string): Promise<(path: string) => Promise<Response>>
  /** How many statements the database is asked while something runs. */
  countQueries(run: () => Promise<unknown>): Promise<number>
  close(): Promise<void>
}

/**
 * Opens a copy of the sample world.
 *
 * @param grow adds rows to its database before it is opened
 */
export async function openSampleCopy(grow: (database: Database.Database) => void): Promise<SampleCopy> {
  const dataFolder = mkdtempSync(join(tmpdir(), 'valise-copy-'))
  cpSync(await sampleWorldFolder(), dataFolder, { recursive: true })
  const config = readConfig({ VALISE_DATA: dataFolder, VALISE_LOG: 'silent' })
  const file = new Database(databaseFile(config))
  file.transaction(() => grow(file))()
  file.close()
  const services = await openServices(config, false)
  const app = createApp(services)
  return {
    services,
    async askAs(signInName) {
      const signedIn = await app.request('/api/session', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ signInName, password: PASSWORD }),
      })
      const cookie = signedIn.headers.get('set-cookie')?.split(';')[0] ?? ''
      return async (path) => {
        const answer = await app.request(path, { headers: { cookie } })
        if (answer.status !== 200) throw new Error(`${path} answered ${answer.status}`)
        return answer
      }
    },
    async countQueries(run) {
      let count = 0
      const onQuery = () => (count += 1)
      const { sql } = services.database.reader()
      sql.on('query', onQuery)
      await run()
      sql.removeListener('query', onQuery)
      return count
    },
    async close() {
      await closeServices(services)
      rmSync(dataFolder, { recursive: true })
    },
  }
}

/** Inserts copies of a row, each with some columns of its own. */
export function insertCopies(
  database: Database.Database,
  table: string,
  row: Row,
  count: number,
  own: (n: number) => Row,
): void {
  const columns = Object.keys(row)
  const names = columns.map((column) => `"${column}"`).join(', ')
  const insert = database.prepare(
    `INSERT INTO "${table}" (${names}) VALUES (${columns.map(() => '?').join(', ')})`,
  )
  for (let n = 0; n < count; n += 1) {
    const copy = { ...row, ...own(n) }
    insert.run(...columns.map((column) => copy[column]))
  }
}

/** Sorts behind every id of the sample world. */
export const idOf = (sort: string, n: number) =>
  `ffffffff-${sort}-7000-8000-${n.toString(16).padStart(12, '0')}`

export function firstRow(database: Database.Database, sql: string, ...values: readonly string[]): Row {
  const row = database.prepare(sql).get(...values) as Row | undefined
  if (!row) throw new Error(`the sample world has no row for: ${sql}`)
  return row
}
