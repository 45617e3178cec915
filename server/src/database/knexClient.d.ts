// Knex exports its clients without types of their own; this is the part that SqliteClient extends.
declare module 'knex/lib/dialects/better-sqlite3/index.js' {
  import type { Knex } from 'knex'
  const Client: typeof Knex.Client
  export default Client
}
