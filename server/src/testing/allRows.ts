// Everything that a database holds, to be compared: what must not change, and what a migration makes of it.
import type { Database } from '../database/index.ts'

/** Lists the tables of the product, without those of migrations and of the database itself. */
export async function listTables({ writer, dialect }: Database): Promise<string[]> {
  const tables =
    dialect.name === 'sqlite'
      ? writer('sqlite_schema').where({ type: 'table' }).pluck('name')
      : writer('pg_tables').where('schemaname', 'public').pluck('tablename')
  const names: string[] = await tables
  // The tables inside a full-text index have its name and more.
  return names.filter((name) => !/^(knex_|sqlite_|evidenceWords_)/.test(name)).sort()
}

/** Returns the raw rows of each table in a stable order. */
export async function allRows(
  database: Database,
  except: readonly string[] = [],
): Promise<Record<string, Record<string, unknown>[]>> {
  const rows: Record<string, Record<string, unknown>[]> = {}
  for (const table of await listTables(database)) {
    if (except.includes(table)) continue
    const found: Record<string, unknown>[] = await database.writer(table).select()
    rows[table] = found.sort((a, b) => (JSON.stringify(a) < JSON.stringify(b) ? -1 : 1))
  }
  return rows
}
