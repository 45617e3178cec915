// A data folder that an earlier version of Valise left behind, with one of everything in it.
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync } from 'node:zlib'
import { shiftedClock } from '../system/index.ts'
import { openSqlite } from '../database/index.ts'
import type { Database } from '../database/index.ts'
import { listTables } from './allRows.ts'
import { TEST_START } from './databases.ts'

const opened: (() => Promise<void>)[] = []
afterAll(async () => {
  for (const close of opened.splice(0)) await close()
})

export interface StoredFolder {
  readonly folder: string
  /** As it was left: nothing is migrated yet. */
  readonly database: Database
}

/** Opens a copy of what was stored on a day. */
export async function openStoredFolder(day: string): Promise<StoredFolder> {
  const stored = new URL(`storedFolders/${day}/`, import.meta.url).pathname
  const folder = mkdtempSync(join(tmpdir(), 'valise-stored-'))
  cpSync(join(stored, 'files'), join(folder, 'files'), { recursive: true })
  const file = join(folder, 'valise.sqlite')
  writeFileSync(file, gunzipSync(readFileSync(join(stored, 'valise.sqlite.gz'))))
  const database = openSqlite({ file, clock: shiftedClock(TEST_START), synced: false })
  opened.push(async () => {
    await database.close()
    rmSync(folder, { recursive: true })
  })
  return { folder, database }
}

/** Copies the rows of a database into one of either kind that has the same shape. Search has to be indexed anew. */
export async function copyRows(from: Database, to: Database): Promise<void> {
  const isSqlite = to.dialect.name === 'sqlite'
  if (isSqlite) await to.writer.raw('PRAGMA foreign_keys = OFF')
  await to.writer.transaction(async (trx) => {
    if (!isSqlite) await trx.raw('SET LOCAL session_replication_role = replica')
    for (const table of await listTables(from)) {
      if (table === SEARCH) continue
      await trx(table).delete()
      const rows: object[] = await from.writer(table)
      for (const row of rows) await trx(table).insert(row)
    }
  })
  if (isSqlite) await to.writer.raw('PRAGMA foreign_keys = ON')
}

/** Each kind of database indexes words in a way of its own. */
const SEARCH = 'evidenceWords'
