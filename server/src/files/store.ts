// Which files are known, and which of them nothing refers to any more.
import { addMinutes } from '@valise/core/time'
import type { Knex } from 'knex'
import { inPortions, inTransaction, isOneOf } from '../database/index.ts'
import type { Database, Reader, Trx } from '../database/index.ts'
import type { FileStore, StoredFile } from './FileStore.ts'

/** How long bytes stay that nothing refers to: long enough for a restore of yesterday's database to find them. */
const LOOSE_KEPT_HOURS = 48
const LOOSE_KEPT_MS = LOOSE_KEPT_HOURS * 3_600_000
/** So few that others can write in between. */
const AT_ONCE = 500

/** Registers a stored file, so that rows can refer to it. Registering it again only renews the claim to it. */
export async function saveFileRow(trx: Trx, file: StoredFile): Promise<void> {
  const row = { sha256: file.sha256, bytes: file.bytes, createdAt: trx.now, looseSince: null }
  await trx.sql('files').insert(row).onConflict('sha256').merge({ looseSince: null })
}

/** Narrows files to those that nothing refers to. */
function isLoose(files: Knex.QueryBuilder, { sql }: Reader): void {
  for (const table of ['evidenceVersions', 'renditions', 'sealedFiles'])
    files.whereNotExists(
      sql(table).where(`${table}.fileSha256`, sql.ref('files.sha256')).select(sql.raw('1')),
    )
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
  let removed = 0
  const narrow = (query: Knex.QueryBuilder) => void query.modify(isLoose, database.reader())
  for await (const rows of inPortions<{ sha256: string }>(
    database,
    'files',
    { sha256: '' },
    AT_ONCE,
    narrow,
  )) {
    const gone = await forgetLoose(
      database,
      rows.map(({ sha256 }) => sha256),
    )
    // Their hours have passed by the school's clock already; the bytes may be younger only if they came in again.
    for (const sha256 of gone) if (await files.remove(sha256, LOOSE_KEPT_MS)) removed += 1
  }
  return removed + (await removeUnknown(database, files))
}

/** Marks those of these files that nothing refers to. @returns those whose time is over; their rows are deleted */
function forgetLoose(database: Database, some: readonly string[]): Promise<string[]> {
  return inTransaction(database, async (trx) => {
    const { sql, now } = trx
    const loose: { sha256: string; looseSince: string | null }[] = await sql('files')
      .modify(isOneOf, 'sha256', some)
      .modify(isLoose, trx)
      .select('sha256', 'looseSince')
    const ended = addMinutes(now, -LOOSE_KEPT_HOURS * 60)
    const shaOf = (rows: typeof loose) => rows.map(({ sha256 }) => sha256)
    const fresh = shaOf(loose.filter(({ looseSince }) => looseSince === null))
    const over = shaOf(loose.filter(({ looseSince }) => looseSince !== null && looseSince <= ended))
    if (fresh.length > 0) await sql('files').modify(isOneOf, 'sha256', fresh).update({ looseSince: now })
    if (over.length > 0) await sql('files').modify(isOneOf, 'sha256', over).delete()
    return over
  })
}

/** Removes bytes that no row knows. */
async function removeUnknown(database: Database, files: FileStore): Promise<number> {
  let removed = 0
  const look = async (some: readonly string[]) => {
    const known = new Set(
      await database.reader().sql('files').modify(isOneOf, 'sha256', some).pluck<string[]>('sha256'),
    )
    for (const sha256 of some)
      if (!known.has(sha256) && (await files.remove(sha256, LOOSE_KEPT_MS))) removed += 1
  }
  let some: string[] = []
  for await (const sha256 of files.list()) {
    some.push(sha256)
    if (some.length < AT_ONCE) continue
    await look(some)
    some = []
  }
  await look(some)
  return removed
}
