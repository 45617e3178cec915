// For the proofs of migrations: a row in every table as it stood at some version, each referring to a row of its parents.
import type { Knex } from 'knex'

interface ColumnInfo {
  readonly name: string
  readonly type: string
}
interface ForeignKey {
  readonly table: string
  readonly from: string
  readonly to: string
}
type Row = Readonly<Record<string, unknown>>

/** What columns that hold JSON hold, where a migration reads them; any other text is the name of its column. */
const json: Readonly<Record<string, string>> = {
  rights: '{"state":"missing"}',
  document: '{"schema":1,"title":"","lang":"en","rows":[]}',
  shown: '{"evidence":{"piece":{"id":"evidence.id"}},"entries":{}}',
}

/**
 * Generates a row per table from the schema of a SQLite database, parents first.
 *
 * @returns rows by table, in the order in which they can be inserted into either kind of database
 */
export async function seedRows(sqlite: Knex): Promise<ReadonlyMap<string, Row>> {
  const tables: { name: string; sql: string }[] = await sqlite('sqlite_schema').where({ type: 'table' })
  // Full-text indexes and the tables inside them are made from other rows.
  const open = tables.filter(({ name }) => !/^(knex_|sqlite_|evidenceWords)/.test(name))
  const rows = new Map<string, Row>()
  while (open.length > 0) {
    const before = open.length
    for (const table of [...open]) {
      const keys: ForeignKey[] = await sqlite.raw(`PRAGMA foreign_key_list("${table.name}")`)
      if (!keys.every((key) => rows.has(key.table))) continue
      rows.set(table.name, await rowOf(sqlite, table, keys, rows))
      open.splice(open.indexOf(table), 1)
    }
    if (open.length === before) throw new Error(`tables refer to each other: ${open.map(({ name }) => name)}`)
  }
  return rows
}

async function rowOf(
  sqlite: Knex,
  { name: table, sql }: { name: string; sql: string },
  keys: readonly ForeignKey[],
  rows: ReadonlyMap<string, Row>,
): Promise<Row> {
  const columns: ColumnInfo[] = await sqlite.raw(`PRAGMA table_info("${table}")`)
  const entries = columns.map(({ name, type }) => {
    const key = keys.find(({ from }) => from === name)
    if (key) return [name, rows.get(key.table)?.[key.to]]
    const [, allowed] = new RegExp(`CHECK \\("${name}" IN \\('([^']+)'`).exec(sql) ?? []
    const text = allowed ?? json[name] ?? `${table}.${name}`
    return [name, type === 'TEXT' ? text : type === 'BLOB' ? Buffer.from(text) : 1]
  })
  return Object.fromEntries(entries)
}
