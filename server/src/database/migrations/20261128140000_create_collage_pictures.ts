// Which pictures a collage shows: whoever conceals more in one of them has the collage made anew.
import type { Knex } from 'knex'
import { createTable, dropTables } from '../createTable.ts'

export const name = '20261128140000_create_collage_pictures'

export async function up(knex: Knex): Promise<void> {
  const evidenceId = { type: 'text', references: 'evidence.id', onDelete: 'cascade' } as const
  await createTable(
    knex,
    'collagePictures',
    {
      collageId: evidenceId,
      // The version of the collage.
      n: { type: 'integer' },
      pictureId: evidenceId,
      pictureN: { type: 'integer' },
      // The place in reading order, in which credits are told.
      place: { type: 'integer' },
    },
    {
      primaryKey: ['collageId', 'n', 'pictureId', 'pictureN'],
      indexes: { collagesOfPicture: ['pictureId'] },
    },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['collagePictures'])
}
