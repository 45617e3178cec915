// Voices on published pages are fetched by the same route as every file that a piece hands out.
import type { Knex } from 'knex'

export const name = '20261129160000_name_files_of_pieces'

/** The tables that it makes. */
export const tables: readonly string[] = []

// Quotes in what people wrote are escaped, so this can only be an attribute that the renderer wrote.
const start = String.raw`( src="/api/pages/[^"/]+/published/\d+/pieces/[^"/]+/)`

export async function up(knex: Knex): Promise<void> {
  await replaceInHtml(knex, '/voices/', new RegExp(`${start}voices/`, 'g'), '$1voice-')
}

export async function down(knex: Knex): Promise<void> {
  await replaceInHtml(knex, '/voice-', new RegExp(`${start}voice-`, 'g'), '$1voices/')
}

async function replaceInHtml(knex: Knex, part: string, before: RegExp, after: string): Promise<void> {
  const keys: { pageId: string; n: number }[] = await knex('publishedPages')
    .whereLike('html', `%${part}%`)
    .select('pageId', 'n')
  // One page at a time: together they may be larger than memory.
  for (const key of keys) {
    const { html } = await knex('publishedPages').where(key).first('html')
    await knex('publishedPages')
      .where(key)
      .update({ html: html.replace(before, after) })
  }
}
