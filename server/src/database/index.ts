// The database: connections, transactions, migrations, and the differences between the two kinds.
export { createThingTable } from './createThingTable.ts'
export {
  addColumns,
  createTable,
  dropColumns,
  dropTables,
  rebuildTable,
  reshapeTables,
} from './createTable.ts'
export { isClockSteady } from './clockCheck.ts'
export { inTransaction, openPostgres, openSqlite } from './Database.ts'
export type { Database, Reader, Trx, Writable } from './Database.ts'
export { migrateDown, migrateToLatest, migrateUpTo } from './migrate.ts'
export { countRows, newestFirst, parseCursor, toCursor } from './paging.ts'
export type { PageWish } from './paging.ts'
export { migrations } from './migrations/index.ts'
