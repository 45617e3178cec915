// A read whose SQL is put together once: for what is asked with every request, where putting it together costs more than
// asking it.
import type { Knex } from 'knex'
import type { Dialect } from './dialect.ts'
import type { Reader } from './Database.ts'

/** Stands in a query for a value that is known when it is asked; no text of ours begins so. */
const MARK = '\u0001value '

type Values = Readonly<Record<string, string | number | null>>

interface Prepared {
  readonly sql: string
  readonly bindings: readonly unknown[]
}

/**
 * Returns a function that asks a query with other values each time.
 *
 * @param build puts it together; `value(name)` stands for what is given under that name
 */
export function prepareRead<V extends Values, Row>(
  build: (sql: Knex, value: (name: keyof V & string) => string) => Knex.QueryBuilder,
): (reader: Reader, values: V) => Promise<Row[]> {
  const prepared = new Map<Dialect, Prepared>()
  const prepareFor = ({ sql, dialect }: Reader): Prepared => {
    const known = prepared.get(dialect)
    if (known) return known
    const made = build(sql, (name) => `${MARK}${name}`).toSQL()
    prepared.set(dialect, made)
    return made
  }
  return async (reader, values) => {
    const { sql, bindings } = prepareFor(reader)
    const given = bindings.map((one) =>
      typeof one === 'string' && one.startsWith(MARK) ? values[one.slice(MARK.length)] : one,
    )
    // What the query gives is what its builder selected.
    return reader.dialect.rowsOf(await reader.sql.raw(sql, given as Knex.RawBinding[])) as Row[]
  }
}
