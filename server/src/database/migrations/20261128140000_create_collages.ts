// Which pictures a collage shows, so that what is concealed in one of them is so in the collage; and captions on items.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261128140000_create_collages'

/** The tables that it makes. */
export const tables: readonly string[] = ['collagePictures']

const evidenceColumns = {
  // Stands under an item wherever a piece has none of its own.
  caption: { type: 'text', before: '' },
} as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'evidence', evidenceColumns)
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
  await dropColumns(knex, 'evidence', Object.keys(evidenceColumns))
}
