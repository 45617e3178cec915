// Logbooks and entries in the database. So far, what one sees is what one owns.
import type { PersonActor } from '@valise/core/people'
import type { EntryList, EntryOutline, EntryRow, LogbookRow } from '@valise/core/reflections'
import type { Instant, LocalDay } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, parseCursor, toCursor } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'

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

export async function insertLogbook(trx: Trx, actor: PersonActor, id: string, title: string): Promise<void> {
  const row = { id, ownerId: actor.personId, title, createdAt: trx.now, revision: 1 }
  await trx.sql('logbooks').insert(row)
}

/** Renames a logbook. @returns false when its revision has changed */
export async function updateLogbook(trx: Trx, id: string, revision: number, title: string): Promise<boolean> {
  const changed = await trx
    .sql('logbooks')
    .where({ id, revision })
    .update({ title, revision: revision + 1 })
  return changed === 1
}

export async function deleteLogbook(trx: Trx, id: string): Promise<void> {
  await trx.sql('logbooks').where({ id }).delete()
}

/** Counts the entries of a logbook, binned ones included. */
export function countEntriesOf(reader: Reader, logbookId: string): Promise<number> {
  return countRows(reader.sql('logEntries').where({ logbookId }))
}

export interface EntryFilter {
  readonly logbookId: string | null
  readonly shelf: 'live' | 'bin'
}

/** Lists one page of a person's entries, newest day first; of one logbook, or of all. */
export async function listEntries(
  reader: Reader,
  actor: PersonActor,
  { logbookId, shelf }: EntryFilter,
  { cursor, limit }: { cursor: string | undefined; limit: number },
): Promise<EntryList> {
  const wanted = ownEntries(reader, actor).modify((q) => {
    if (shelf === 'live') q.whereNull('binnedAt')
    else q.whereNotNull('binnedAt')
    if (logbookId !== null) q.where({ logbookId })
  })
  const page = wanted
    .clone()
    .orderBy([
      { column: 'day', order: 'desc' },
      { column: 'id', order: 'desc' },
    ])
    .limit(limit + 1)
  if (cursor !== undefined) {
    const [day, id] = parseCursor(cursor, 2)
    page.where((q) =>
      q
        .where('day', '<', String(day))
        .orWhere((same) => same.where('day', String(day)).where('id', '<', String(id))),
    )
  }
  const rows = await page
  const items = rows.slice(0, limit).map(toEntryRow)
  const last = items.at(-1)
  return {
    items,
    next: rows.length > limit && last ? toCursor([last.day, last.id]) : null,
    count: await countRows(wanted),
  }
}

export interface EntryHead extends EntryRow {
  readonly logbookTitle: string
  readonly revision: number
}

export async function findEntry(reader: Reader, actor: PersonActor, id: string): Promise<EntryHead | null> {
  const row = await ownEntries(reader, actor)
    .where('logEntries.id', id)
    .join('logbooks', 'logbooks.id', 'logEntries.logbookId')
    .first('logEntries.*', 'logbooks.title as logbookTitle')
  return row ? { ...toEntryRow(row), logbookTitle: row.logbookTitle, revision: row.revision } : null
}

export interface NewEntryRow extends EntryOutline {
  readonly id: string
  readonly logbookId: string
  readonly day: LocalDay
  readonly title: string
}

export async function insertEntry(
  trx: Trx,
  actor: PersonActor,
  { evidence, ...row }: NewEntryRow,
): Promise<void> {
  await trx.sql('logEntries').insert({
    ...row,
    evidenceCount: evidence,
    ownerId: actor.personId,
    changedAt: trx.now,
    binnedAt: null,
    revision: 1,
  })
}

/** Saves what lists show of an entry, after a change of its draft. */
export async function noteOutline(
  trx: Trx,
  id: string,
  { evidence, ...outline }: EntryOutline & { readonly title: string },
): Promise<void> {
  const columns = { ...outline, evidenceCount: evidence, changedAt: trx.now }
  await trx.sql('logEntries').where({ id }).update(columns)
}

/** Changes the day of an entry. @returns false when its revision has changed */
export async function updateEntryDay(
  trx: Trx,
  id: string,
  revision: number,
  day: LocalDay,
): Promise<boolean> {
  const changed = await trx
    .sql('logEntries')
    .where({ id, revision })
    .update({ day, changedAt: trx.now, revision: revision + 1 })
  return changed === 1
}

export async function binEntry(trx: Trx, id: string, binnedAt: Instant | null): Promise<void> {
  await trx.sql('logEntries').where({ id }).update({ binnedAt })
}

/** Lists the entries whose days in the bin are over. */
export async function listEntriesBinnedBefore(reader: Reader, before: Instant): Promise<string[]> {
  const rows = await reader.sql('logEntries').where('binnedAt', '<=', before).select('id').orderBy('id')
  return rows.map(({ id }) => id)
}

export function countLogbooks(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(ownLogbooks(reader, actor))
}

function ownLogbooks(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('logbooks').where('logbooks.ownerId', actor.personId)
}

function ownEntries(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('logEntries').where('logEntries.ownerId', actor.personId)
}

function withEntries(reader: Reader, logbooks: Knex.QueryBuilder): Knex.QueryBuilder {
  const { sql } = reader
  return logbooks
    .leftJoin('logEntries', (join) =>
      join.on('logEntries.logbookId', 'logbooks.id').andOnNull('logEntries.binnedAt'),
    )
    .groupBy('logbooks.id')
    .select(sql.ref('logbooks.id'), sql.ref('logbooks.title'), sql.ref('logbooks.revision'))
    .count({ entries: 'logEntries.id' })
    .max({ lastDay: 'logEntries.day' })
}

function toLogbookRow(row: LogbookRow): LogbookRow {
  const { id, title, entries, lastDay, revision } = row
  return { id, title, entries: Number(entries), lastDay, revision }
}

interface EntryColumns extends Omit<EntryRow, 'evidence'> {
  readonly evidenceCount: number
}

function toEntryRow(row: EntryColumns): EntryRow {
  const { id, logbookId, day, title, beginning, words, changedAt, binnedAt } = row
  return { id, logbookId, day, title, beginning, words, evidence: row.evidenceCount, changedAt, binnedAt }
}
