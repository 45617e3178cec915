// Runs a read at once on the one connection that reads. The driver answers while it is called, so waiting for a free
// connection, as Knex does for each query, would only cost time: a third of what a small read takes.
import type { Knex } from 'knex'

/** What Knex hands over to be run. */
export interface Runnable {
  toSQL(): Knex.Sql | Knex.Sql[]
  /** Set where a query is bound to a connection. */
  readonly _connection?: unknown
}

/** What running takes of the client. */
export interface ReadingClient {
  reading(): Promise<unknown>
  query(connection: unknown, sql: Knex.Sql): Promise<object>
  processResponse(answered: object, runner: object): unknown
}

export class ReadRunner {
  readonly #client: ReadingClient
  readonly #builder: Runnable

  constructor(client: ReadingClient, builder: Runnable) {
    this.#client = client
    this.#builder = builder
  }

  async run(): Promise<unknown> {
    const sql = this.#builder.toSQL()
    if (Array.isArray(sql)) throw new Error('a read is one statement')
    const answered = await this.#client.query(await this.#client.reading(), sql)
    return this.#client.processResponse(answered, this)
  }
}
