// Logbooks in the database, and what their entries can be narrowed to. So far, what one sees is what one owns.
import type { PersonActor } from '@valise/core/people'
import { STRIP_DAYS } from '@valise/core/reflections'
import type { LogbookChange, LogbookFacets, LogbookRow } from '@valise/core/reflections'
import { addDays } from '@valise/core/time'
import type { LocalDay } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

const MOST_FACETS = 100

export async function listLogbooks(reader: Reader, actor: PersonActor): Promise<LogbookRow[]> {
  const rows = await withEntries(reader, ownLogbooks(reader, actor)).orderBy([
    'logbooks.createdAt',
    'logbooks.id',
  ])
  return rows.map(toLogbookRow)
}

export async function findLogbook(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<LogbookRow | null> {
  const row = await withEntries(reader, ownLogbooks(reader, actor).where('logbooks.id', id)).first()
  return row ? toLogbookRow(row) : null
}

/** Inserts the logbook of a thing that is there already. */
export async function insertLogbook(trx: Trx, actor: PersonActor, id: string): Promise<void> {
  const row = { id, ownerId: actor.personId, isBinned: 0, createdAt: trx.now, summary: '' }
  await trx.sql('logbooks').insert(row)
}

export async function updateLogbook(
  trx: Trx,
  id: string,
  { title: _, ...details }: LogbookChange,
): Promise<void> {
  if (Object.keys(details).length > 0) await trx.sql('logbooks').where({ id }).update(details)
}

/** Counts the entries of a logbook, binned ones included. */
export function countEntriesOf(reader: Reader, logbookId: string): Promise<number> {
  return countRows(reader.sql('logEntries').where({ logbookId }))
}

/** Returns what the entries of one's own logbook can be narrowed to, and which days of a strip have some. */
export async function getFacets({ sql }: Reader, logbookId: string, until: LocalDay): Promise<LogbookFacets> {
  const live = () => sql('logEntries').where({ logbookId, isBinned: 0 })
  // A sheet may have been called otherwise before.
  const newestTitle = sql('logEntries as newer')
    .where({ logbookId, isBinned: 0, sheetId: sql.ref('logEntries.sheetId') })
    .orderBy('day', 'desc')
    .limit(1)
    .select('sheetTitle')
  const tags = await sql('logEntries')
    .where({ logbookId, isBinned: 0 })
    .join('entryTags', 'entryTags.entryId', 'logEntries.id')
    .groupBy('tagKey')
    .select('tagKey')
    .max({ tag: 'tag' })
    .count({ count: '*' })
    .orderBy([{ column: 'count', order: 'desc' }, { column: 'tagKey' }])
    .limit(MOST_FACETS)
  const sheets: SheetColumns[] = await live()
    .whereNotNull('sheetId')
    .groupBy('sheetId')
    .select('sheetId as id')
    .select({ title: newestTitle, count: sql.raw('count(*)') })
    .orderBy([{ column: 'count', order: 'desc' }, { column: 'sheetId' }])
    .limit(MOST_FACETS)
  const days: { day: LocalDay; count: number | string }[] = await live()
    .where('day', '>', addDays(until, -STRIP_DAYS))
    .where('day', '<=', until)
    .groupBy('day')
    .orderBy('day')
    .select('day')
    .count({ count: '*' })
  // Each by itself is one step in the index.
  const ends = await sql
    .select({ firstDay: live().min('day'), lastDay: live().max('day') })
    .first<{ readonly firstDay: LocalDay | null; readonly lastDay: LocalDay | null }>()
  return {
    tags: tags.map(({ tag, count }) => ({ tag: String(tag), count: Number(count) })),
    sheets: sheets.map(({ id, title, count }) => ({
      ...{ id, title: JSON.parse(title), count: Number(count) },
    })),
    days: days.map(({ day, count }) => ({ day, count: Number(count) })),
    firstDay: ends.firstDay,
    lastDay: ends.lastDay,
  }
}

interface SheetColumns {
  readonly id: string
  /** As JSON. */
  readonly title: string
  readonly count: number | string
}

function ownLogbooks(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader
    .sql('logbooks')
    .join('things', 'things.id', 'logbooks.id')
    .where({ 'logbooks.ownerId': actor.personId, 'logbooks.isBinned': 0 })
}

function withEntries(reader: Reader, logbooks: Knex.QueryBuilder): Knex.QueryBuilder {
  const { sql } = reader
  const entries = () => sql('logEntries').where({ logbookId: sql.ref('logbooks.id'), isBinned: 0 })
  return logbooks
    .select('logbooks.id', 'things.title', 'things.revision')
    .select('logbooks.summary', 'logbooks.coverId', 'logbooks.usualSheetId', 'logbooks.classId')
    .select({ entries: entries().count('*'), lastDay: entries().max('day') })
}

function toLogbookRow(row: LogbookRow): LogbookRow {
  const { id, title, summary, coverId, usualSheetId, classId, entries, lastDay, revision } = row
  return {
    ...{ id, title, summary, coverId, usualSheetId, classId },
    ...{ entries: Number(entries), lastDay, revision },
  }
}
