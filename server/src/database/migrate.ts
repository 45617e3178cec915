// Brings a database to the newest shape, with Knex's own migrator over the migrations in this bundle.
import type { Knex } from 'knex'
import type { Database } from './Database.ts'
import { migrations } from './migrations/index.ts'

type Named = (typeof migrations)[number]

const source: Knex.MigrationSource<Named> = {
  getMigrations: async () => [...migrations],
  getMigrationName: (migration) => migration.name,
  getMigration: async (migration) => migration,
}

export async function migrateToLatest(database: Database): Promise<void> {
  await database.writer.migrate.latest({ migrationSource: source })
}

/** Applies migrations up to and including the one of this name; for tests of a later one. */
export async function migrateUpTo(database: Database, name: string): Promise<void> {
  for (const migration of migrations) {
    await database.writer.migrate.up({ migrationSource: source })
    if (migration.name === name) return
  }
  throw new Error(`there is no migration ${name}`)
}

/** Undoes the newest applied migration. */
export async function migrateDown(database: Database): Promise<void> {
  await database.writer.migrate.down({ migrationSource: source })
}
