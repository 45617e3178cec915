// Which files are known, and which of them nothing refers to any more.
import { addMinutes } from '@valise/core/time'
import { inTransaction } from '../database/index.ts'
import type { Database, Reader, Trx } from '../database/index.ts'
import type { FileStore, StoredFile } from './FileStore.ts'

/** How long bytes stay that nothing refers to: long enough for a restore of yesterday's database to find them. */
const LOOSE_KEPT_HOURS = 48
const LOOSE_KEPT_MS = LOOSE_KEPT_HOURS * 3_600_000

/** Registers a stored file, so that rows can refer to it. Registering it again only renews the claim to it. */
export async function saveFileRow(trx: Trx, file: StoredFile): Promise<void> {
  const row = { sha256: file.sha256, bytes: file.bytes, createdAt: trx.now, looseSince: null }
  await trx.sql('files').insert(row).onConflict('sha256').merge({ looseSince: null })
}

/** Files that nothing refers to. */
async function listLooseFiles(reader: Reader): Promise<{ sha256: string; looseSince: string | null }[]> {
  const { sql } = reader
  const referredToBy = (table: string) => sql(table).where(`${table}.fileSha256`, sql.ref('files.sha256'))
  return sql('files')
    .select('sha256', 'looseSince')
    .whereNotExists(referredToBy('evidenceVersions'))
    .whereNotExists(referredToBy('renditions'))
    .whereNotExists(referredToBy('sealedFiles'))
    .orderBy('sha256')
}

/**
 * Marks the files that nothing refers to, and removes those that were unreferenced for 48 hours.
 *
 * Bytes without a row (the server stopped between the file and its transaction) are removed the same way. Both check
 * when the bytes were last put, so that a file that arrives again meanwhile stays.
 *
 * @returns how many files were removed
 */
export async function removeLooseFiles(database: Database, files: FileStore): Promise<number> {
  const gone = await inTransaction(database, async (trx) => {
    const loose = await listLooseFiles(trx)
    const ended = addMinutes(trx.now, -LOOSE_KEPT_HOURS * 60)
    const isOver = (since: string | null) => since !== null && since <= ended
    for (const { sha256, looseSince } of loose) {
      if (looseSince === null) await trx.sql('files').where({ sha256 }).update({ looseSince: trx.now })
      else if (isOver(looseSince)) await trx.sql('files').where({ sha256 }).delete()
    }
    return new Set(loose.filter(({ looseSince }) => isOver(looseSince)).map(({ sha256 }) => sha256))
  })
  let removed = 0
  // Their hours have passed by the school's clock already; the bytes may be younger only if they came in again.
  for (const sha256 of gone) if (await files.remove(sha256, LOOSE_KEPT_MS)) removed += 1
  const { sql } = database.reader()
  for await (const sha256 of files.list()) {
    if (gone.has(sha256) || (await sql('files').where({ sha256 }).first())) continue
    if (await files.remove(sha256, LOOSE_KEPT_MS)) removed += 1
  }
  return removed
}
