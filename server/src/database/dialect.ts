// The few differences between SQLite and PostgreSQL, in one place.

import type { Knex } from 'knex'
import { errorCodeOf } from '../system/index.ts'

export type ColumnType = 'text' | 'integer' | 'real' | 'blob'

export interface Dialect {
  readonly name: 'sqlite' | 'postgres'
  /** The native type of each of our four column types. */
  readonly types: Readonly<Record<ColumnType, string>>
  /** What follows the closing bracket of CREATE TABLE. */
  readonly tableSuffix: string
  /** Whether a failed transaction may succeed when it is run again. */
  isTransient(error: unknown): boolean
  /** Which rule of the schema a write broke, or null when it was something else. */
  brokenConstraint(error: unknown): 'unique' | 'foreign' | 'other' | null
  /** Whether the disk or the quota is full. */
  isFull(error: unknown): boolean
  /** The condition that a column holds one of the values of an array of JSON, by what they are. */
  readonly isOneOf: Readonly<Record<'texts' | 'numbers', string>>
  /** The rows of what a query in raw SQL answers. */
  rowsOf(answer: unknown): unknown[]
  /** Locks the rows that a query finds until the transaction ends; whoever else wants them locked waits. */
  lock(query: Knex.QueryBuilder): Promise<void>
  /** Locks the rows that a query finds, and leaves out those that others have locked. */
  skipLocked(query: Knex.QueryBuilder): void
}

const amongJson = '?? IN (SELECT value FROM json_each(?))'

export const sqlite: Dialect = {
  name: 'sqlite',
  types: { text: 'TEXT', integer: 'INTEGER', real: 'REAL', blob: 'BLOB' },
  tableSuffix: ' STRICT',
  isTransient: (error) => /^SQLITE_(BUSY|LOCKED)/.test(errorCodeOf(error)),
  brokenConstraint: (error) => {
    const code = errorCodeOf(error)
    if (code === 'SQLITE_CONSTRAINT_UNIQUE' || code === 'SQLITE_CONSTRAINT_PRIMARYKEY') return 'unique'
    if (code === 'SQLITE_CONSTRAINT_FOREIGNKEY') return 'foreign'
    return code.startsWith('SQLITE_CONSTRAINT') ? 'other' : null
  },
  isFull: (error) => errorCodeOf(error) === 'SQLITE_FULL',
  isOneOf: { texts: amongJson, numbers: amongJson },
  // Each driver gives them in its own way.
  rowsOf: (answer) => answer as unknown[],
  // Whoever writes has the whole file to themselves.
  lock: () => Promise.resolve(),
  skipLocked: () => undefined,
}

export const postgres: Dialect = {
  name: 'postgres',
  // Text compares by bytes, as SQLite's does, so that both give lists in one order.
  types: { text: 'TEXT COLLATE "C"', integer: 'BIGINT', real: 'DOUBLE PRECISION', blob: 'BYTEA' },
  tableSuffix: '',
  isTransient: (error) => ['40001', '40P01', '55P03'].includes(errorCodeOf(error)),
  brokenConstraint: (error) => {
    const code = errorCodeOf(error)
    if (code === '23505') return 'unique'
    if (code === '23503') return 'foreign'
    return code.startsWith('23') ? 'other' : null
  },
  isFull: (error) => errorCodeOf(error) === '53100',
  // An array, and no list of rows: the planner then looks each up in the index instead of joining.
  isOneOf: {
    texts: '?? = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb)))',
    numbers: '?? = ANY (ARRAY(SELECT jsonb_array_elements_text(?::jsonb)::bigint))',
  },
  rowsOf: (answer) => (answer as { readonly rows: unknown[] }).rows,
  // Rows that refer to them can be inserted meanwhile.
  lock: async (query) => void (await query.forNoKeyUpdate().select('id')),
  skipLocked: (query) => void query.forUpdate().skipLocked(),
}

/** Returns the dialect of a connection, a transaction or a query. */
export function dialectOf({ client }: { readonly client: { readonly driverName: string } }): Dialect {
  return client.driverName === 'pg' ? postgres : sqlite
}
