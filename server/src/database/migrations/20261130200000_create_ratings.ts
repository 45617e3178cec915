// Self-ratings over time, read out of the documents that they are made in.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261130200000_create_ratings'

/** The tables that it makes. */
export const tables: readonly string[] = ['attributeRatings']

export function up(knex: Knex): Promise<void> {
  const text = { type: 'text' } as const
  return createTable(
    knex,
    'attributeRatings',
    {
      id: text,
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      thingId: { type: 'text', references: 'things.id', onDelete: 'cascade' },
      pieceId: text,
      n: { type: 'integer' },
      day: text,
      changedOn: text,
      isGone: { type: 'flag' },
      // Without a reference: a rating outlives the set.
      ...{ setId: text, attributeId: text, attribute: text, name: text },
      ...{ step: text, reason: text, evidenceIds: text },
    },
    {
      primaryKey: ['id'],
      indexes: {
        ratingsOfOwner: ['ownerId', 'setId', 'isGone', 'day', 'id'],
        ratingsInThing: ['thingId', 'pieceId', 'n'],
      },
    },
  )
}

export function down(knex: Knex): Promise<void> {
  return dropTables(knex, tables)
}
