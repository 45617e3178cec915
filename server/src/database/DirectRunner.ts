// Runs a query at once on a connection that is there already: the one that reads, or that of an open transaction. The
// driver answers while it is called, so waiting for a free connection, as Knex does for each query, would only cost
// time: a third of what a small read takes.
import type { Knex } from 'knex'

/** What Knex hands over to be run. */
export interface Runnable {
  toSQL(): Knex.Sql | Knex.Sql[]
  /** Set where a query is bound to a connection. */
  readonly _connection?: unknown
  /** What changes tables has one, and may be several statements. */
  readonly _sequence?: unknown
}

/** What running takes of the client. */
export interface DirectClient {
  query(connection: unknown, sql: Knex.Sql): Promise<object>
  processResponse(answered: object, runner: object): unknown
}

export class DirectRunner {
  readonly #client: DirectClient
  readonly #builder: Runnable
  readonly #connection: Promise<unknown>

  constructor(client: DirectClient, builder: Runnable, connection: Promise<unknown>) {
    this.#client = client
    this.#builder = builder
    this.#connection = connection
  }

  async run(): Promise<unknown> {
    const sql = this.#builder.toSQL()
    if (Array.isArray(sql)) throw new Error('a query is one statement')
    const answered = await this.#client.query(await this.#connection, sql)
    return this.#client.processResponse(answered, this)
  }
}
