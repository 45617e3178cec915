// News that something was shared is called by what the screen says: `shared-with-me`.
import type { Knex } from 'knex'

export const name = '20261129150000_rename_news_of_sharing'

/** The tables that it makes. */
export const tables: readonly string[] = []

const [before, after] = ['opened-to-me', 'shared-with-me']

export async function up(knex: Knex): Promise<void> {
  await knex('news').where({ kind: before }).update({ kind: after })
}

export async function down(knex: Knex): Promise<void> {
  await knex('news').where({ kind: after }).update({ kind: before })
}
