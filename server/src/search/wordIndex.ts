// The index of words: which items of one owner hold all the words that somebody looks for.
import { toSearchWords } from '@valise/core/evidence'
import { isOneOfNumbers } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

/**
 * Rows of one owner have numbers that stand side by side: the owner's own number in the upper part, a count in the
 * lower. A search looks at this stretch alone, so that what others keep costs it nothing.
 */
const STRETCH = 2 ** 31

/** Indexes the words of an item, under its present row or a new one. Returns the row. */
export async function putWords(trx: Trx, ownerId: string, row: number, words: string): Promise<number> {
  const at = row === 0 ? await nextRow(trx, ownerId) : row
  const folded = toIndexed(words)
  if (isPostgres(trx)) {
    await trx.sql('evidenceWords').insert({ rowid: at, words: folded }).onConflict('rowid').merge()
  } else {
    await trx.sql.raw('INSERT OR REPLACE INTO "evidenceWords" (rowid, "words") VALUES (?, ?)', [at, folded])
  }
  return at
}

export async function removeWords(trx: Trx, rows: readonly number[]): Promise<void> {
  const there = rows.filter((row) => row !== 0)
  if (there.length > 0) await trx.sql('evidenceWords').modify(isOneOfNumbers, 'rowid', there).delete()
}

/**
 * Finds the rows of an owner's items that contain every word; the last one may be a prefix. Look them up once per
 * request: the prefix of a common word costs more than all the rest.
 */
export async function findRows(reader: Reader, ownerId: string, words: string): Promise<number[]> {
  const wanted = toSearchWords(words)
  // Signs without a letter or a number among them are in no text.
  if (wanted.length === 0) return []
  const owner = reader.sql('searchOwners').where({ ownerId })
  const first = owner.clone().select(reader.sql.raw(`n * ${STRETCH}`))
  const last = owner.clone().select(reader.sql.raw(`n * ${STRETCH} + ${STRETCH - 1}`))
  const found = reader
    .sql('evidenceWords')
    .select('rowid')
    .whereBetween('rowid', [first, last] as never)
  const rows: { rowid: number | string }[] = await (isPostgres(reader)
    ? found.whereRaw(`"found" @@ to_tsquery('simple', ?)`, [`${wanted.join(' & ')}:*`])
    : found.whereRaw('"evidenceWords" MATCH ?', [
        wanted.map((word, n) => `"${word}"${n === wanted.length - 1 ? ' *' : ''}`).join(' AND '),
      ]))
  return rows.map(({ rowid }) => Number(rowid))
}

/** The same folding as that of a search, so that both databases find alike. */
function toIndexed(words: string): string {
  return words
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
}

async function nextRow({ sql }: Trx, ownerId: string): Promise<number> {
  for (;;) {
    const own: { n: number; next: number } | undefined = await sql('searchOwners')
      .where({ ownerId })
      .forUpdate()
      .first('n', 'next')
    if (own) {
      await sql('searchOwners')
        .where({ ownerId })
        .update({ next: Number(own.next) + 1 })
      return Number(own.n) * STRETCH + Number(own.next)
    }
    const highest = await sql('searchOwners').max({ n: 'n' }).first()
    // Somebody else may take the number at the same moment: then it is looked up again.
    const row = { ownerId, n: Number(highest?.n ?? 0) + 1, next: 1 }
    await sql('searchOwners').insert(row).onConflict().ignore()
  }
}

function isPostgres({ dialect }: Reader): boolean {
  return dialect.name === 'postgres'
}
