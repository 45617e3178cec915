// Knex exports its clients without types of their own; this is the part that SqliteClient extends.
declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import type { Knex } from 'knex'
  interface Client extends Omit<Knex.Client, 'destroy' | 'runner'> {
    runner(builder: object): unknown
    /** Whether it is the client of a transaction, whose connection it always hands out. */
    readonly transacting?: boolean
    /** What a query answers, from what the driver gave. */
    processResponse(answered: object, runner: object): unknown
    destroy(): Promise<void>
  }
  const Client: (new (config: Knex.Config) => Client) & Pick<typeof Knex.Client, keyof typeof Knex.Client>
  export default Client
}
