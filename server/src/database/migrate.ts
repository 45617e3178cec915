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

/** Applies all pending migrations. Writes nothing when there are none, so that a server starts on a full disk. */
export async function migrateToLatest(database: Database): Promise<void> {
  const done = await database.writer.migrate.currentVersion({ migrationSource: source })
  if (migrations.at(-1)?.name.startsWith(`${done}_`)) return
  await database.writer.migrate.latest({ migrationSource: source })
}

/** Applies migrations up to and including `name`; for tests of a later one. */
export async function migrateUpTo(database: Database, name: string): Promise<void> {
  const last = migrations.findIndex((migration) => migration.name === name)
  if (last < 0) throw new Error(`there is no migration ${name}`)
  // Knex gives the digits before the name, or 'none'.
  const done = await database.writer.migrate.currentVersion({ migrationSource: source })
  const first = migrations.findIndex((migration) => migration.name.startsWith(`${done}_`)) + 1
  for (let n = first; n <= last; n += 1) await database.writer.migrate.up({ migrationSource: source })
}

/** Reverts the newest applied migration. */
export async function migrateDown(database: Database): Promise<void> {
  await database.writer.migrate.down({ migrationSource: source })
}
