// News stand in the order of time, which is not always that of their ids: a clock that goes back takes no ids with it.
import type { Knex } from 'knex'

export const name = '20261129130000_index_news_by_time'

/** The tables that it makes. */
export const tables: readonly string[] = []

export async function up(knex: Knex): Promise<void> {
  await knex.raw('CREATE INDEX "newsByTime" ON "news" ("personId", "at", "id")')
}

export async function down(knex: Knex): Promise<void> {
  await knex.raw('DROP INDEX "newsByTime"')
}
