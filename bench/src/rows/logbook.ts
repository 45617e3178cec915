// What a logbook costs when it is opened: one of 2,000 entries against one of 20, in queries, bytes and time.
import type Database from 'better-sqlite3'
import { compare, timed } from '../compare.ts'
import type { Row as Measured } from '../compare.ts'
import { firstRow, idOf, insertCopies, openSampleCopy } from '../sampleWorld.ts'

const OWNER = 'wren'
const ROUNDS = 20
const MOST_BYTES = 1.2

/** Everything that the screen of a logbook asks for, of 2,000 entries. */
export async function logbookOfMany(): Promise<Measured> {
  const large = await openSampleCopy((database) => writeEntries(database, 2000))
  const small = await openSampleCopy((database) => writeEntries(database, 20))
  try {
    const [many, few] = await Promise.all(
      [large, small].map(async (copy) => {
        const ask = await copy.askAs(OWNER)
        const id = idOf('0005', 0)
        const paths = [
          `/api/logbooks/${id}`,
          `/api/logbooks/${id}/facets?until=2026-11-26`,
          `/api/entries?logbookId=${id}`,
        ]
        const open = async () => {
          let bytes = 0
          for (const path of paths) bytes += (await (await ask(path)).arrayBuffer()).byteLength
          return bytes
        }
        return { open, bytes: await open(), queries: await copy.countQueries(open) }
      }),
    )
    if (!many || !few) throw new Error('there is nothing to compare')
    if (many.queries !== few.queries)
      throw new Error(`a logbook asks ${many.queries} questions for 2,000 and ${few.queries} for 20`)
    if (many.bytes > few.bytes * MOST_BYTES)
      throw new Error(`a logbook sends ${many.bytes} bytes for 2,000 and ${few.bytes} for 20`)
    return await compare({
      name: 'a logbook of 2,000 entries, against 20',
      limit: 1.5,
      unit: 'ms to open it',
      ours: () => timed(ROUNDS, many.open),
      reference: () => timed(ROUNDS, few.open),
    })
  } finally {
    await large.close()
    await small.close()
  }
}

/** Writes entries, one a day, into a logbook of their own. */
function writeEntries(database: Database.Database, count: number): void {
  const { id: ownerId = '' } = firstRow(database, 'SELECT * FROM people WHERE signInName = ?', OWNER)
  const entry = firstRow(
    database,
    'SELECT * FROM logEntries WHERE ownerId = ? AND isBinned = 0 ORDER BY words DESC',
    String(ownerId),
  )
  const ofEntry = String(entry['id'])
  const logbook = firstRow(database, 'SELECT * FROM logbooks WHERE id = ?', String(entry['logbookId']))
  const logbookId = idOf('0005', 0)
  const thing = (id: string) => firstRow(database, 'SELECT * FROM things WHERE id = ?', id)
  insertCopies(database, 'things', thing(String(logbook['id'])), 1, () => ({ id: logbookId }))
  insertCopies(database, 'logbooks', logbook, 1, () => ({ id: logbookId }))
  const own = (n: number) => ({ id: idOf('0006', n) })
  insertCopies(database, 'things', thing(ofEntry), count, own)
  insertCopies(
    database,
    'drafts',
    firstRow(database, 'SELECT * FROM drafts WHERE id = ?', ofEntry),
    count,
    own,
  )
  insertCopies(database, 'logEntries', entry, count, (n) => ({ ...own(n), logbookId, day: dayBefore(n) }))
}

function dayBefore(n: number): string {
  return new Date(Date.UTC(2026, 10, 26) - n * 86_400_000).toISOString().slice(0, 10)
}
