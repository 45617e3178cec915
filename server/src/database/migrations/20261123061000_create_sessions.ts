// Passwords, sessions, sign-in links, and what keeps guessing and doubling in bounds.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261123061000_create_sessions'

/** The tables that it makes. */
export const tables: readonly string[] = [
  'passwords',
  'sessions',
  'signInLinks',
  'rateLimits',
  'idempotencyKeys',
]

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'passwords',
    {
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      hash: { type: 'text' },
      changedAt: { type: 'text' },
    },
    { primaryKey: ['personId'] },
  )
  await createTable(
    knex,
    'sessions',
    {
      id: { type: 'text' },
      tokenHash: { type: 'text' },
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      device: { type: 'text' },
      startedAt: { type: 'text' },
      lastSeenAt: { type: 'text' },
      endsAt: { type: 'text' },
    },
    { primaryKey: ['id'], unique: [['tokenHash']], indexes: { sessionsByPerson: ['personId', 'startedAt'] } },
  )
  await createTable(
    knex,
    'signInLinks',
    {
      tokenHash: { type: 'text' },
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      createdAt: { type: 'text' },
      untilAt: { type: 'text' },
      usedAt: { type: 'text', nullable: true },
    },
    { primaryKey: ['tokenHash'], indexes: { signInLinksByPerson: ['personId'] } },
  )
  await createTable(
    knex,
    'rateLimits',
    {
      bucket: { type: 'text' },
      windowEndsAt: { type: 'text' },
      count: { type: 'integer' },
    },
    { primaryKey: ['bucket'], indexes: { rateLimitsByEnd: ['windowEndsAt'] } },
  )
  await createTable(
    knex,
    'idempotencyKeys',
    {
      personId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      key: { type: 'text' },
      requestHash: { type: 'text' },
      status: { type: 'integer', nullable: true },
      answer: { type: 'text', nullable: true },
      at: { type: 'text' },
    },
    { primaryKey: ['personId', 'key'], indexes: { idempotencyKeysByTime: ['at'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['idempotencyKeys', 'rateLimits', 'signInLinks', 'sessions', 'passwords'])
}
