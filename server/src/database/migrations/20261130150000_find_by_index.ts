// What used to be found by reading whole rows gets columns and indexes: what published pages hand out, and which item a
// sealed file is of.
import { listPublishedHandOuts, upgradeDocument } from '@valise/core/pages'
import type { Knex } from 'knex'
import { addColumns, createTable, dropColumns, dropTables } from '../createTable.ts'

export const name = '20261130150000_find_by_index'

/** The tables that it makes. */
export const tables: readonly string[] = ['publishedHandOuts']

const ROWS_AT_A_TIME = 100

const indexes = {
  sealedFilesOfItem: '"sealedFiles" ("evidenceId", "evidenceN")',
  unseenNews: '"news" ("personId") WHERE "seenAt" IS NULL',
  sessionsByEnd: '"sessions" ("endsAt")',
  uploadsForAssignment: '"uploads" ("assignmentId")',
}

export async function up(knex: Knex): Promise<void> {
  await createTable(
    knex,
    'publishedHandOuts',
    {
      pageId: { type: 'text', references: 'pages.id', onDelete: 'cascade' },
      n: { type: 'integer' },
      pieceId: { type: 'text' },
      name: { type: 'text' },
      what: { type: 'text' },
      evidenceId: { type: 'text', references: 'evidence.id', onDelete: 'cascade' },
      evidenceN: { type: 'integer' },
      look: { type: 'integer' },
      fileName: { type: 'text' },
      needs: { type: 'text' },
    },
    {
      primaryKey: ['pageId', 'n', 'pieceId', 'name'],
      indexes: { handOutsOfItem: ['evidenceId', 'evidenceN'] },
    },
  )
  await addColumns(knex, 'sealedFiles', {
    evidenceId: { type: 'text', nullable: true, references: 'evidence.id', onDelete: 'set null' },
    evidenceN: { type: 'integer', nullable: true },
  })
  for (const [index, on] of Object.entries(indexes)) await knex.raw(`CREATE INDEX "${index}" ON ${on}`)
  await listHandOuts(knex)
  await nameItems(knex)
}

export async function down(knex: Knex): Promise<void> {
  for (const index of Object.keys(indexes)) await knex.raw(`DROP INDEX "${index}"`)
  await dropColumns(knex, 'sealedFiles', ['evidenceId', 'evidenceN'])
  await dropTables(knex, ['publishedHandOuts'])
}

interface PublishedRow {
  readonly pageId: string
  readonly n: number
  readonly document: string
  readonly shown: string
}

async function listHandOuts(knex: Knex): Promise<void> {
  let last: Pick<PublishedRow, 'pageId' | 'n'> | undefined
  do {
    const rows: PublishedRow[] = await knex('publishedPages')
      .modify((q) => {
        if (last) q.whereRaw('("pageId", "n") > (?, ?)', [last.pageId, last.n])
      })
      .orderBy(['pageId', 'n'])
      .limit(ROWS_AT_A_TIME)
      .select('pageId', 'n', 'document', 'shown')
    for (const row of rows) await insertHandOuts(knex, row)
    last = rows.at(-1)
  } while (last)
}

async function insertHandOuts(knex: Knex, { pageId, n, document, shown }: PublishedRow): Promise<void> {
  const all = listPublishedHandOuts(upgradeDocument(JSON.parse(document)), JSON.parse(shown))
  const rows = all.map(({ pieceId, handOut: { name: handOut, what, item }, needs }) => ({
    ...{ pageId, n, pieceId, name: handOut, what },
    ...{ evidenceId: item.id, evidenceN: item.n, look: item.look ?? 0, fileName: item.fileName },
    needs: JSON.stringify(needs),
  }))
  for (const row of rows)
    // Of an item that was removed for good there is nothing to hand out.
    if (await knex('evidence').where({ id: row.evidenceId }).first('id'))
      await knex('publishedHandOuts').insert(row)
}

/** A copy names the files of items by item and version, as in `files/<item>-<version>.webp`. */
async function nameItems(knex: Knex): Promise<void> {
  const fileOfItem = /^files\/([0-9a-f-]{36})-(\d+)(?:[.-]|$)/
  let last: { readonly submissionId: string; readonly path: string } | undefined
  do {
    const rows: { submissionId: string; path: string }[] = await knex('sealedFiles')
      .modify((q) => {
        if (last) q.whereRaw('("submissionId", "path") > (?, ?)', [last.submissionId, last.path])
      })
      .orderBy(['submissionId', 'path'])
      .limit(ROWS_AT_A_TIME)
      .select('submissionId', 'path')
    for (const row of rows) {
      const [, evidenceId = '', n] = fileOfItem.exec(row.path) ?? []
      if (n && (await knex('evidence').where({ id: evidenceId }).first('id')))
        await knex('sealedFiles')
          .where(row)
          .update({ evidenceId, evidenceN: Number(n) })
    }
    last = rows.at(-1)
  } while (last)
}
