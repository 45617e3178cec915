// Logbooks and entries in the database. So far, what one sees is what one owns.
import type { PersonActor } from '@valise/core/people'
import type { EntryList, EntryOutline, EntryRow, LogbookRow } from '@valise/core/reflections'
import type { LocalDay } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, parseCursor, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'
import { changeThing, noteDraft } from '../things/index.ts'

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
  const row = { id, ownerId: actor.personId, isBinned: 0, createdAt: trx.now }
  await trx.sql('logbooks').insert(row)
}

/** Counts the entries of a logbook, binned ones included. */
export function countEntriesOf(reader: Reader, logbookId: string): Promise<number> {
  return countRows(reader.sql('logEntries').where({ logbookId }))
}

/** Lists one page of a person's entries, newest day first; of one logbook, or of all. */
export async function listEntries(
  reader: Reader,
  actor: PersonActor,
  logbookId: string | null,
  { cursor, limit }: PageWish,
): Promise<EntryList> {
  const wanted = reader
    .sql('logEntries')
    .where({ 'logEntries.ownerId': actor.personId, 'logEntries.isBinned': 0 })
    .where(logbookId === null ? {} : { logbookId })
  const page = wanted
    .clone()
    .modify(withThing)
    .orderBy([
      { column: 'day', order: 'desc' },
      { column: 'logEntries.id', order: 'desc' },
    ])
    .limit(limit + 1)
  if (cursor !== undefined) {
    const [day, id] = parseCursor(cursor, 2)
    page.where((q) =>
      q
        .where('day', '<', String(day))
        .orWhere((same) => same.where('day', String(day)).where('logEntries.id', '<', String(id))),
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
  const row = await reader
    .sql('logEntries')
    .where({ 'logEntries.id': id, 'logEntries.ownerId': actor.personId })
    .modify(withThing)
    .join('things as logbook', 'logbook.id', 'logEntries.logbookId')
    .select('logbook.title as logbookTitle')
    .first()
  return row ? { ...toEntryRow(row), logbookTitle: row.logbookTitle, revision: row.revision } : null
}

export interface NewEntryRow extends EntryOutline {
  readonly id: string
  readonly logbookId: string
  readonly day: LocalDay
}

/** Inserts the entry of a thing that is there already. */
export async function insertEntry(
  trx: Trx,
  actor: PersonActor,
  { evidence, ...row }: NewEntryRow,
): Promise<void> {
  await trx.sql('logEntries').insert({
    ...row,
    evidenceCount: evidence,
    ownerId: actor.personId,
    isBinned: 0,
  })
}

/** Saves what lists show of an entry, after a change of its draft. */
export async function noteOutline(
  trx: Trx,
  id: string,
  title: string,
  { evidence, ...outline }: EntryOutline,
): Promise<void> {
  await noteDraft(trx, id, title)
  await trx
    .sql('logEntries')
    .where({ id })
    .update({ ...outline, evidenceCount: evidence })
}

/** Changes the day of an entry. @returns false when its revision has changed */
export async function updateEntryDay(
  trx: Trx,
  id: string,
  revision: number,
  day: LocalDay,
): Promise<boolean> {
  if (!(await changeThing(trx, id, { revision }))) return false
  await trx.sql('logEntries').where({ id }).update({ day })
  return true
}

function ownLogbooks(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader
    .sql('logbooks')
    .join('things', 'things.id', 'logbooks.id')
    .where({ 'logbooks.ownerId': actor.personId, 'logbooks.isBinned': 0 })
}

function withThing(entries: Knex.QueryBuilder): void {
  entries
    .join('things', 'things.id', 'logEntries.id')
    .select('logEntries.*', 'things.title', 'things.changedAt', 'things.binnedAt', 'things.revision')
}

function withEntries(reader: Reader, logbooks: Knex.QueryBuilder): Knex.QueryBuilder {
  const { sql } = reader
  return logbooks
    .leftJoin('logEntries', (join) =>
      join.on('logEntries.logbookId', 'logbooks.id').andOn('logEntries.isBinned', sql.raw('0')),
    )
    .groupBy('logbooks.id', 'things.id')
    .select('logbooks.id', 'things.title', 'things.revision')
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
