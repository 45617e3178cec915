// Knex's SQLite client, with three things changed: statements stay prepared, queries of a connection that is there run
// at once, and a Date is refused.
// Workspaces that take this one as source must see these types as well.
// eslint-disable-next-line @typescript-eslint/triple-slash-reference
/// <reference path="./knexClient.d.ts" />
import type BetterSqlite3 from 'better-sqlite3'
import BaseClient from 'knex/lib/dialects/better-sqlite3/index.js'
import { DirectRunner } from './DirectRunner.ts'
import type { Runnable } from './DirectRunner.ts'

const MOST_PREPARED = 300

interface Query {
  sql: string
  bindings?: unknown[]
  response?: unknown
  context?: { lastID: number | bigint; changes: number }
}

type Connection = BetterSqlite3.Database & { prepared?: Map<string, BetterSqlite3.Statement> }

export class SqliteClient extends BaseClient {
  /** Runs one query. Preparing costs as much as a small read, so statements are cached per connection. */
  async _query(connection: Connection, query: Query): Promise<Query> {
    if (!query.sql) throw new Error('The query is empty')
    const statement = preparedOn(connection, query.sql)
    const bindings = toBindings(query.bindings ?? [], query.sql.includes('knex_migrations'))
    if (statement.reader) {
      query.response = statement.all(bindings)
      return query
    }
    const result = statement.run(bindings)
    query.response = result
    query.context = { lastID: result.lastInsertRowid, changes: result.changes }
    return query
  }

  override runner(builder: Runnable): unknown {
    const connection = this.connectionFor(builder)
    return connection === null ? super.runner(builder) : new DirectRunner(this, builder, connection)
  }

  /** The connection that a query can run on at once, or null where Knex has to find one. */
  protected connectionFor(builder: Runnable): Promise<unknown> | null {
    const isAlone = builder._connection === undefined && builder._sequence === undefined
    return isAlone && this.transacting === true ? this.acquireConnection() : null
  }
}

/** The client of those who only read, on one connection that stays open. */
export class SqliteReadClient extends SqliteClient {
  #reading: Promise<Connection> | null = null

  protected override connectionFor(builder: Runnable): Promise<unknown> | null {
    return builder._connection === undefined ? this.reading() : super.connectionFor(builder)
  }

  private reading(): Promise<Connection> {
    if (this.#reading) return this.#reading
    const reading = this.acquireConnection() as Promise<Connection>
    this.#reading = reading
    // The next read tries again.
    reading.catch(() => (this.#reading = null))
    return reading
  }

  override async destroy(): Promise<void> {
    const reading = this.#reading
    this.#reading = null
    if (reading) await this.releaseConnection(await reading)
    await super.destroy()
  }
}

function preparedOn(connection: Connection, sql: string): BetterSqlite3.Statement {
  const prepared = (connection.prepared ??= new Map())
  const found = prepared.get(sql)
  if (found) {
    // It moves to the end, so that what is used stays and what was asked once goes.
    prepared.delete(sql)
    prepared.set(sql, found)
    return found
  }
  const statement = connection.prepare(sql)
  // A pragma or DDL may change what a later statement means; keep only what reads and writes rows.
  if (/^\s*(select|insert|update|delete|with)\b/i.test(sql)) {
    if (prepared.size >= MOST_PREPARED) prepared.delete(prepared.keys().next().value ?? '')
    prepared.set(sql, statement)
  }
  return statement
}

/**
 * SQLite would store a Date silently as '0.0' and NaN as NULL: both are mistakes of ours. Knex's own migrator binds a
 * Date into its table; there it is written as text.
 */
function toBindings(bindings: unknown[], forMigrator: boolean): unknown[] {
  return bindings.map((value) => {
    if (value instanceof Date) {
      if (forMigrator) return value.toISOString()
      throw new TypeError('bind an instant as text, not a Date')
    }
    if (typeof value === 'number' && !Number.isFinite(value)) throw new TypeError(`cannot bind ${value}`)
    return typeof value === 'boolean' ? Number(value) : value
  })
}
