// Entries in the database: listing those that are looked for, and writing down what lists tell of each.
import { toTagKey } from '@valise/core/evidence'
import type { PersonActor } from '@valise/core/people'
import type { EntryMark, EntryOutline, EntryQuery, EntryRow } from '@valise/core/reflections'
import type { LocalDay } from '@valise/core/time'
import type { Knex } from 'knex'
import { countRows, isOneOf, isOneOfNumbers, parseCursor, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'
import { findRows, putWords } from '../search/index.ts'
import { noteDraft } from '../things/index.ts'

export type EntryWish = Omit<EntryQuery, 'cursor' | 'limit'>

export interface EntryPage {
  readonly items: readonly EntryRow[]
  readonly next: string | null
}

/** Lists one page of a person's entries that match, by day. */
export async function listEntries(
  reader: Reader,
  actor: PersonActor,
  wish: EntryWish,
  { cursor, limit }: PageWish,
): Promise<EntryPage & { readonly count: number }> {
  const wanted = toWanted(reader, actor, wish, await findWordRows(reader, actor, wish))
  return { ...(await pageOf(reader, wanted, wish, { cursor, limit })), count: await countRows(wanted) }
}

/** Lists the ids of one page of entries that match, for reading them. */
export async function listEntryPage(
  reader: Reader,
  actor: PersonActor,
  wish: EntryWish,
  page: PageWish,
): Promise<EntryPage> {
  return pageOf(reader, toWanted(reader, actor, wish, await findWordRows(reader, actor, wish)), wish, page)
}

async function pageOf(
  reader: Reader,
  wanted: Knex.QueryBuilder,
  { order = 'newest' }: EntryWish,
  { cursor, limit }: PageWish,
): Promise<EntryPage> {
  const direction = order === 'newest' ? 'desc' : 'asc'
  const page = wanted
    .clone()
    .modify(withThing)
    .select(isSpokenColumn(reader))
    .orderBy([
      { column: 'day', order: direction },
      { column: 'logEntries.id', order: direction },
    ])
    .limit(limit + 1)
  if (cursor !== undefined) {
    const [day = '', id = ''] = parseCursor(cursor, 2)
    page.whereRaw(`(??, ??) ${order === 'newest' ? '<' : '>'} (?, ?)`, ['day', 'logEntries.id', day, id])
  }
  const rows: EntryColumns[] = await page
  const shown = rows.slice(0, limit)
  const tags = await listTagsOfEntries(
    reader,
    shown.map(({ id }) => id),
  )
  const last = shown.at(-1)
  return {
    items: shown.map((row) => toEntryRow(row, tags.get(row.id) ?? [])),
    next: rows.length > limit && last ? toCursor([last.day, last.id]) : null,
  }
}

/** Where the words that are looked for are; null where none are. */
async function findWordRows(
  reader: Reader,
  actor: PersonActor,
  { words = '' }: EntryWish,
): Promise<readonly number[] | null> {
  return words.trim() === '' ? null : findRows(reader, actor.personId, words)
}

function toWanted(
  reader: Reader,
  actor: PersonActor,
  { logbookId, tag, from, until, sheetId, mark }: EntryWish,
  rows: readonly number[] | null,
): Knex.QueryBuilder {
  const { sql } = reader
  const { personId: ownerId } = actor
  const wanted = sql('logEntries').where({ 'logEntries.isBinned': 0 })
  if (logbookId === undefined) wanted.where({ 'logEntries.ownerId': ownerId })
  // The entries of a logbook are those of its owner, and are found by the index of the logbook.
  else wanted.where({ logbookId }).whereExists(sql('logbooks').where({ id: logbookId, ownerId }).select('id'))
  if (from !== undefined) wanted.where('day', '>=', from)
  if (until !== undefined) wanted.where('day', '<=', until)
  if (sheetId !== undefined) wanted.where({ sheetId })
  if (tag !== undefined)
    wanted.whereIn(
      'logEntries.id',
      sql('entryTags')
        .where({ ownerId: actor.personId, tagKey: toTagKey(tag) })
        .select('entryId'),
    )
  if (mark !== undefined) wanted.modify(marks[mark], reader)
  if (rows !== null) wanted.modify(isOneOfNumbers, 'logEntries.searchRow', rows)
  return wanted
}

/** Told in a recording; a recording beside no words is one that is told in the entry, too. */
const isSpoken = '("logEntries"."recordings" > 0 OR ("logEntries"."words" = 0 AND EXISTS ?))'

/** Narrows entries to those that have a mark. */
const marks: Readonly<Record<EntryMark, (entries: Knex.QueryBuilder, reader: Reader) => void>> = {
  spoken: (entries, reader) => {
    entries.whereRaw(isSpoken, [recordingsBeside(reader)])
  },
  feedback: (entries, reader) => {
    entries.whereExists(feedbackOn(reader))
  },
}

function feedbackOn({ sql }: Reader): Knex.QueryBuilder {
  return sql('submissionParts')
    .join('feedback', 'feedback.submissionId', 'submissionParts.submissionId')
    .where('submissionParts.thingId', sql.ref('logEntries.id'))
    .where((on) => on.whereNull('feedback.part').orWhere('feedback.part', sql.ref('submissionParts.n')))
    .select('feedback.id')
}

function recordingsBeside({ sql }: Reader): Knex.QueryBuilder {
  return sql('uses')
    .join('evidence', 'evidence.id', 'uses.thingId')
    .where('uses.byId', sql.ref('logEntries.id'))
    .whereIn('evidence.kind', ['audio', 'video'])
    .where('evidence.isBinned', 0)
    .select('evidence.id')
}

function isSpokenColumn(reader: Reader): Knex.Raw {
  return reader.sql.raw(`${isSpoken} as "isSpoken"`, [recordingsBeside(reader)])
}

/** The tags of entries in their order. */
export async function listTagsOfEntries(
  { sql }: Reader,
  ids: readonly string[],
): Promise<ReadonlyMap<string, readonly string[]>> {
  if (ids.length === 0) return new Map()
  const rows: { entryId: string; tag: string }[] = await sql('entryTags')
    .modify(isOneOf, 'entryId', ids)
    .orderBy(['entryId', 'position', 'tagKey'])
    .select('entryId', 'tag')
  const tags = new Map<string, string[]>()
  for (const { entryId, tag } of rows) tags.set(entryId, [...(tags.get(entryId) ?? []), tag])
  return tags
}

export interface EntryHead {
  readonly id: string
  readonly logbookId: string
  readonly logbookTitle: string
  readonly day: LocalDay
  readonly binnedAt: string | null
  readonly revision: number
}

export async function findEntry(reader: Reader, actor: PersonActor, id: string): Promise<EntryHead | null> {
  const row = await reader
    .sql('logEntries')
    .where({ 'logEntries.id': id, 'logEntries.ownerId': actor.personId })
    .join('things', 'things.id', 'logEntries.id')
    .join('things as logbook', 'logbook.id', 'logEntries.logbookId')
    .select('logEntries.id', 'logEntries.logbookId', 'logEntries.day', 'things.binnedAt', 'things.revision')
    .select('logbook.title as logbookTitle')
    .first()
  return row ?? null
}

export interface NewEntryRow {
  readonly id: string
  readonly logbookId: string
  readonly day: LocalDay
  readonly outline: EntryOutline
}

/** Inserts the entry of a thing that is there already. */
export async function insertEntry(
  trx: Trx,
  actor: PersonActor,
  { outline, ...row }: NewEntryRow,
): Promise<void> {
  const own = { ownerId: actor.personId, isBinned: 0, searchRow: 0 }
  await trx.sql('logEntries').insert({ ...row, ...own, ...toColumns(outline) })
}

/** Saves what lists show of an entry, after a change of its draft. */
export async function noteOutline(trx: Trx, id: string, title: string, outline: EntryOutline): Promise<void> {
  await noteDraft(trx, id, title)
  await trx.sql('logEntries').where({ id }).update(toColumns(outline))
}

/** Makes an entry found by its words. Call it in the transaction that changes them. */
export async function indexEntry(trx: Trx, id: string, words: string): Promise<void> {
  const row = await trx.sql('logEntries').where({ id }).first('ownerId', 'searchRow')
  if (!row) return
  const at = await putWords(trx, row.ownerId, Number(row.searchRow), words)
  if (at !== Number(row.searchRow)) await trx.sql('logEntries').where({ id }).update({ searchRow: at })
}

/** Lists the rows of these entries in the index of words; 0 for one that has none. */
export async function listEntrySearchRows({ sql }: Reader, ids: readonly string[]): Promise<number[]> {
  const rows = await sql('logEntries').modify(isOneOf, 'id', ids).pluck<(number | string)[]>('searchRow')
  return rows.map(Number)
}

export interface UnindexedEntry {
  readonly id: string
  readonly ownerId: string
}

/** Lists entries that are not in the index of words, as those are that were written before there was one. */
export async function listUnindexedEntries({ sql }: Reader, limit: number): Promise<UnindexedEntry[]> {
  return sql('logEntries').whereRaw('"searchRow" = 0').orderBy('id').limit(limit).select('id', 'ownerId')
}

/** Returns the day of an entry that is there. */
export async function getDay({ sql }: Reader, id: string): Promise<LocalDay> {
  return (await sql('logEntries').where({ id }).first('day')).day
}

export async function updateDay(trx: Trx, id: string, day: LocalDay): Promise<void> {
  await trx.sql('logEntries').where({ id }).update({ day })
}

export async function replaceEntryTags(
  trx: Trx,
  actor: PersonActor,
  entryId: string,
  tags: readonly string[],
): Promise<void> {
  await trx.sql('entryTags').where({ entryId }).delete()
  const rows = tags.map((tag, position) => ({
    ...{ entryId, tagKey: toTagKey(tag), ownerId: actor.personId, tag, position },
  }))
  if (rows.length > 0) await trx.sql('entryTags').insert(rows)
}

/** Moves one's own entries into a logbook. @returns how many there were to move */
export async function moveEntries(
  trx: Trx,
  actor: PersonActor,
  ids: readonly string[],
  logbookId: string,
): Promise<number> {
  return trx
    .sql('logEntries')
    .where({ ownerId: actor.personId, isBinned: 0 })
    .modify(isOneOf, 'id', ids)
    .update({ logbookId })
}

function withThing(entries: Knex.QueryBuilder): void {
  entries
    .join('things', 'things.id', 'logEntries.id')
    .select('logEntries.*', 'things.title', 'things.changedAt', 'things.binnedAt')
}

function toColumns({ evidence, sheet, ...told }: EntryOutline) {
  return {
    ...told,
    evidenceCount: evidence,
    sheetId: sheet?.id ?? null,
    sheetTitle: sheet ? JSON.stringify(sheet.title) : null,
  }
}

interface EntryColumns extends Omit<EntryRow, 'evidence' | 'sheet' | 'isSpoken' | 'tags'> {
  readonly evidenceCount: number
  readonly sheetId: string | null
  readonly sheetTitle: string | null
  readonly isSpoken: number | boolean
}

function toEntryRow(row: EntryColumns, tags: readonly string[]): EntryRow {
  const { id, logbookId, day, title, beginning, words, asked, answered, changedAt, binnedAt } = row
  const sheet = row.sheetId === null ? null : { id: row.sheetId, title: JSON.parse(row.sheetTitle ?? '{}') }
  return {
    ...{ id, logbookId, day, title, beginning, words, evidence: row.evidenceCount, sheet, asked, answered },
    ...{ isSpoken: Boolean(row.isSpoken), tags: [...tags], changedAt, binnedAt },
  }
}
