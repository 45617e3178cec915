// News name titles in all of their languages as they are, no longer as JSON within JSON.
import type { Knex } from 'knex'

export const name = '20261129190000_type_params_of_news'

/** The tables that it makes. */
export const tables: readonly string[] = []

const titled = [
  ...['assignment-set', 'copy-sealed', 'sealing-failed', 'copy-opened'],
  ...['changes-asked', 'work-accepted', 'feedback-given'],
]
const ROWS_AT_A_TIME = 500

interface Row {
  readonly id: string
  readonly params: string
}

export function up(knex: Knex): Promise<void> {
  return rewriteParams(knex, ({ name: title, ...params }) =>
    title === undefined ? params : { ...params, title: JSON.parse(String(title)) },
  )
}

export function down(knex: Knex): Promise<void> {
  return rewriteParams(knex, ({ title, ...params }) =>
    title === undefined ? params : { ...params, name: JSON.stringify(title) },
  )
}

async function rewriteParams(
  knex: Knex,
  change: (params: Readonly<Record<string, unknown>>) => object,
): Promise<void> {
  for (let last = ''; ;) {
    const rows: Row[] = await knex('news')
      .whereIn('kind', titled)
      .where('id', '>', last)
      .orderBy('id')
      .limit(ROWS_AT_A_TIME)
      .select('id', 'params')
    for (const { id, params } of rows)
      await knex('news')
        .where({ id })
        .update({ params: JSON.stringify(change(JSON.parse(params))) })
    const end = rows.at(-1)
    if (!end) return
    last = end.id
  }
}
