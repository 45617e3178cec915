// The words by which an item is found, gathered from all that is known of it.
import type { DocumentBlock, Inside } from '@valise/core/evidence'
import { isRichText, toPlainText } from '@valise/core/pages'
import { numbersOf, upgradeCollage, wordsOn } from '@valise/core/pictures'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { putWords } from '../search/index.ts'

/** Indexes the words of an item. Call it in the transaction that changes any of them. */
export async function indexWords(trx: Trx, evidenceId: string): Promise<void> {
  const row: IndexedRow | undefined = await trx
    .sql('evidence')
    .join('evidenceVersions', (join) =>
      join
        .on('evidenceVersions.evidenceId', 'evidence.id')
        .andOn('evidenceVersions.n', 'evidence.currentVersion'),
    )
    .join('things', 'things.id', 'evidence.id')
    .leftJoin('links', 'links.evidenceId', 'evidence.id')
    .leftJoin('evidenceTexts', (join) =>
      join
        .on('evidenceTexts.evidenceId', 'evidenceVersions.evidenceId')
        .andOn('evidenceTexts.n', 'evidenceVersions.n'),
    )
    .where('evidence.id', evidenceId)
    .first(
      ...['kind', 'ownerId', 'searchRow', 'caption', 'statement', 'alternativeText', 'transcript'].map(
        (column) => `evidence.${column}`,
      ),
      'things.title',
      ...['fileName', 'document'].map((column) => `evidenceVersions.${column}`),
      ...['address', 'siteName', 'description'].map((column) => `links.${column}`),
      'evidenceTexts.blocks',
    )
  if (!row) return
  const tags: { tag: string }[] = await trx.sql('evidenceTags').where({ evidenceId }).select('tag')
  const blocks: DocumentBlock[] = row.blocks === null ? [] : JSON.parse(row.blocks)
  const words = [
    ...[row.title, row.caption, row.statement, row.alternativeText, row.transcript, row.fileName],
    ...[row.address, row.siteName, row.description].map((text) => text ?? ''),
    ...tags.map(({ tag }) => tag),
    writtenIn(row),
    ...blocks.map(wordsOf),
  ].join('\n')
  const at = await putWords(trx, row.ownerId, Number(row.searchRow), words)
  if (at !== Number(row.searchRow))
    await trx.sql('evidence').where({ id: evidenceId }).update({ searchRow: at })
}

/** Lists the rows of these items in the index of words; 0 for one that has none. */
export async function listSearchRows({ sql }: Reader, ids: readonly string[]): Promise<number[]> {
  const rows = await sql('evidence').modify(isOneOf, 'id', ids).pluck<(number | string)[]>('searchRow')
  return rows.map(Number)
}

/** Lists items that are not in the index of words. */
export async function listUnindexed(reader: Reader, limit: number): Promise<string[]> {
  const rows: { id: string }[] = await reader
    .sql('evidence')
    .where({ searchRow: 0 })
    .where('currentVersion', '>', 0)
    .orderBy('id')
    .limit(limit)
    .select('id')
  return rows.map(({ id }) => id)
}

export async function saveInside(
  trx: Trx,
  { evidenceId, n, ownerId }: { readonly evidenceId: string; readonly n: number; readonly ownerId: string },
  { blocks, isCut }: Inside,
): Promise<void> {
  const row = { ownerId, blocks: JSON.stringify(blocks), isCut: isCut ? 1 : 0 }
  await trx
    .sql('evidenceTexts')
    .insert({ evidenceId, n, ...row })
    .onConflict(['evidenceId', 'n'])
    .merge(row)
}

/** Returns the extracted text of a version of an item of this owner, or null. */
export async function findInside(
  reader: Reader,
  ownerId: string,
  evidenceId: string,
  n: number,
): Promise<Inside | null> {
  const row = await reader.sql('evidenceTexts').where({ evidenceId, n, ownerId }).first('blocks', 'isCut')
  return row ? { blocks: JSON.parse(row.blocks), isCut: row.isCut === 1 } : null
}

function wordsOf(block: DocumentBlock): string {
  return block.kind === 'table' ? block.rows.map((cells) => cells.join(' ')).join('\n') : block.text
}

/** The words of a note, or those on a collage. */
function writtenIn({ kind, document }: Pick<IndexedRow, 'kind' | 'document'>): string {
  const parsed: unknown = document === null ? null : JSON.parse(document)
  if (kind === 'collage' && document !== null) {
    const collage = upgradeCollage(JSON.parse(document))
    return [...wordsOn(collage), ...numbersOf(collage).map(({ note }) => note)].join('\n')
  }
  return isRichText(parsed) ? toPlainText(parsed) : ''
}

interface IndexedRow {
  readonly kind: string
  readonly caption: string
  readonly ownerId: string
  readonly searchRow: number | string
  readonly title: string
  readonly statement: string
  readonly alternativeText: string
  readonly transcript: string
  readonly fileName: string
  readonly document: string | null
  readonly address: string | null
  readonly siteName: string | null
  readonly description: string | null
  readonly blocks: string | null
}
