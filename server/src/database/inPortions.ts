// Reading through a large table a portion at a time, without holding up those who write.
import type { Knex } from 'knex'
import type { Database } from './Database.ts'

/**
 * Reads the rows of a table in the order of its key, in portions. Each portion is a read of its own: whoever changes
 * rows looks at them again in the transaction that does.
 *
 * @param key its columns with a value that comes before all others, as in `{ sha256: '' }`
 */
export async function* inPortions<Row extends Readonly<Record<string, unknown>>>(
  database: Database,
  table: string,
  key: Readonly<Record<string, string | number>>,
  size: number,
  narrow: (query: Knex.QueryBuilder) => void = () => undefined,
): AsyncGenerator<readonly Row[], void> {
  const columns = Object.keys(key)
  const names = columns.map(() => '??').join(', ')
  const values = columns.map(() => '?').join(', ')
  let last: Readonly<Record<string, unknown>> = key
  for (;;) {
    const rows = (await database
      .reader()
      .sql(table)
      .whereRaw(`(${names}) > (${values})`, [...columns, ...columns.map((column) => last[column] as string)])
      .modify(narrow)
      .orderBy(columns.map((column) => `${table}.${column}`))
      .limit(size)
      .select(columns.map((column) => `${table}.${column}`))) as Row[]
    if (rows.length > 0) yield rows
    if (rows.length < size) return
    last = rows.at(-1) ?? key
  }
}
