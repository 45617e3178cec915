// Devices on which somebody signed in before, and limits whose waits grow.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261129120000_create_known_devices'

/** The tables that it makes. */
export const tables: readonly string[] = ['knownDevices']

const limitColumns = { waitUntil: { type: 'text', nullable: true } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'rateLimits', limitColumns)
  await createTable(
    knex,
    'knownDevices',
    {
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      deviceHash: { type: 'text' },
      usedAt: { type: 'text' },
    },
    { primaryKey: ['personId', 'deviceHash'] },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['knownDevices'])
  await dropColumns(knex, 'rateLimits', Object.keys(limitColumns))
}
