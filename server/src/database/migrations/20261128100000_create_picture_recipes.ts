// How pictures are put right: every kept recipe of a version, which one counts, and how large the picture was taken.
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261128100000_create_picture_recipes'

/** The tables that it makes. */
export const tables: readonly string[] = ['pictureRecipes']

const versionColumns = {
  // The newest recipe, and the newest one that concealed more than those before it; 0 for none.
  recipeRevision: { type: 'integer', before: 0 },
  concealRevision: { type: 'integer', before: 0 },
  // The size of the picture as it came, once its width and height are those of what a recipe makes of it.
  takenWidth: { type: 'integer', nullable: true },
  takenHeight: { type: 'integer', nullable: true },
} as const

/** The recipe that a photo comes with, so that nothing of it is ever shown without. */
const uploadColumns = { recipe: { type: 'text', nullable: true } } as const

export async function up(knex: Knex): Promise<void> {
  await addColumns(knex, 'uploads', uploadColumns)
  await addColumns(knex, 'evidenceVersions', versionColumns)
  await createTable(
    knex,
    'pictureRecipes',
    {
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      revision: { type: 'integer' },
      ownerId: { type: 'text', references: 'people.id', onDelete: 'cascade' },
      recipe: { type: 'text' },
      createdAt: { type: 'text' },
    },
    { primaryKey: ['evidenceId', 'n', 'revision'], indexes: { recipesOfOwner: ['ownerId'] } },
  )
}

export async function down(knex: Knex): Promise<void> {
  await dropTables(knex, ['pictureRecipes'])
  await dropColumns(knex, 'evidenceVersions', Object.keys(versionColumns))
  await dropColumns(knex, 'uploads', Object.keys(uploadColumns))
}
