// Question sheets in the database: one's own, and those offered to one's classes.
import type { PersonActor } from '@valise/core/people'
import type { OwnSheet, SheetContent, SheetRow } from '@valise/core/sheets'
import type { Knex } from 'knex'
import { isOneOf } from '../database/index.ts'
import type { Reader, Trx } from '../database/index.ts'
import { listShownNames } from '../people/index.ts'

const MOST_LISTED = 300

/** Lists one's own sheets, by title as they were made. */
export async function listOwnSheets(reader: Reader, actor: PersonActor): Promise<SheetRow[]> {
  const rows: ListedRow[] = await ownSheets(reader, actor)
    .where('promptSheets.isBinned', 0)
    .orderBy('promptSheets.id')
    .limit(MOST_LISTED)
    .select('promptSheets.id', 'promptSheets.n', 'promptSheets.isNewer')
    .select('promptSheets.title', 'promptSheets.about', 'promptSheets.questions')
  return rows.map((row) => ({
    ...toListed(row),
    source: 'mine',
    ownerName: null,
    isNewer: row.isNewer === 1,
  }))
}

/** Lists the sheets that others offer to one's classes, in their newest version. */
export async function listOfferedSheets(reader: Reader, actor: PersonActor): Promise<SheetRow[]> {
  const rows: (ListedRow & { readonly ownerId: string })[] = await offeredSheets(reader, actor)
    .whereNot('promptSheets.ownerId', actor.personId)
    .orderBy('promptSheets.id')
    .limit(MOST_LISTED)
    .select('promptSheets.id', 'promptSheets.n', 'promptSheets.ownerId')
    .select('newest.title', 'newest.about', 'newest.questions')
  const names = await listShownNames(
    reader,
    rows.map(({ ownerId }) => ownerId),
  )
  return rows.map((row) => ({
    ...toListed(row),
    ...{ source: 'class', ownerName: names.get(row.ownerId) ?? null, isNewer: false },
  }))
}

/** Finds one's own sheet, binned or not. */
export async function findOwnSheet(reader: Reader, actor: PersonActor, id: string): Promise<OwnSheet | null> {
  const row: OwnRow | undefined = await ownSheets(reader, actor)
    .where('promptSheets.id', id)
    .join('things', 'things.id', 'promptSheets.id')
    .leftJoin('promptSheetVersions as newest', isNewest)
    .first('promptSheets.id', 'promptSheets.content', 'promptSheets.n', 'promptSheets.isNewer')
    .select('things.revision', 'things.binnedAt', 'newest.at')
  if (!row) return null
  const offers = await reader
    .sql('promptSheetOffers')
    .where({ sheetId: id })
    .orderBy('classId')
    .pluck<string[]>('classId')
  const { content, isNewer, at, n, revision, binnedAt } = row
  return {
    ...{ id, revision, n, binnedAt, offers },
    ...{ content: JSON.parse(content), isNewer: isNewer === 1, publishedAt: at },
  }
}

interface NewestVersion {
  readonly n: number
  readonly content: SheetContent
}

/** Finds the newest version of a sheet that one may take up: one's own, or one that is offered to one's class. */
export async function findNewestVersion(
  reader: Reader,
  actor: PersonActor,
  id: string,
): Promise<(NewestVersion & { readonly isMine: boolean }) | null> {
  const row: { n: number; content: string; ownerId: string } | undefined = await reader
    .sql('promptSheets')
    .join('promptSheetVersions as newest', isNewest)
    .where({ 'promptSheets.id': id, 'promptSheets.isBinned': 0 })
    .where((may) =>
      may
        .where('promptSheets.ownerId', actor.personId)
        .orWhereIn('promptSheets.id', offersTo(reader, actor).select('sheetId')),
    )
    .first('newest.n', 'newest.content', 'promptSheets.ownerId')
  if (!row) return null
  return { n: row.n, content: JSON.parse(row.content), isMine: row.ownerId === actor.personId }
}

/** Inserts the sheet of a thing that is there already. */
export async function insertSheet(
  trx: Trx,
  actor: PersonActor,
  id: string,
  content: SheetContent,
): Promise<void> {
  const row = { id, ownerId: actor.personId, isBinned: 0, ...toColumns(content), n: 0, isNewer: 1 }
  await trx.sql('promptSheets').insert(row)
}

export async function updateContent(
  trx: Trx,
  id: string,
  content: SheetContent,
  isNewer: boolean,
): Promise<void> {
  await trx
    .sql('promptSheets')
    .where({ id })
    .update({ ...toColumns(content), isNewer: Number(isNewer) })
}

export async function insertVersion(
  trx: Trx,
  sheetId: string,
  n: number,
  content: SheetContent,
): Promise<void> {
  await trx.sql('promptSheetVersions').insert({ sheetId, n, ...toColumns(content), at: trx.now })
  await trx.sql('promptSheets').where({ id: sheetId }).update({ n, isNewer: 0 })
}

export async function findVersion({ sql }: Reader, sheetId: string, n: number): Promise<SheetContent | null> {
  const row = await sql('promptSheetVersions').where({ sheetId, n }).first('content')
  return row ? JSON.parse(row.content) : null
}

/** Offers a sheet to these classes, and to no others. */
export async function replaceOffers(trx: Trx, sheetId: string, classIds: readonly string[]): Promise<void> {
  await trx.sql('promptSheetOffers').where({ sheetId }).delete()
  const rows = [...new Set(classIds)].map((classId) => ({ sheetId, classId }))
  if (rows.length > 0) await trx.sql('promptSheetOffers').insert(rows)
}

function ownSheets({ sql }: Reader, { personId }: PersonActor): Knex.QueryBuilder {
  return sql('promptSheets').where('promptSheets.ownerId', personId)
}

function offersTo({ sql }: Reader, { memberships }: PersonActor): Knex.QueryBuilder {
  const classIds = memberships.map(({ classId }) => classId)
  return sql('promptSheetOffers').modify(isOneOf, 'promptSheetOffers.classId', classIds)
}

function offeredSheets(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader
    .sql('promptSheets')
    .join('promptSheetVersions as newest', isNewest)
    .whereIn('promptSheets.id', offersTo(reader, actor).select('sheetId'))
    .where('promptSheets.isBinned', 0)
}

function isNewest(join: Knex.JoinClause): void {
  join.on('newest.sheetId', 'promptSheets.id').andOn('newest.n', 'promptSheets.n')
}

function toColumns(content: SheetContent) {
  const { title, about, questions } = content
  return {
    content: JSON.stringify(content),
    ...{ title: JSON.stringify(title), about: JSON.stringify(about), questions: questions.length },
  }
}

interface ListedRow {
  readonly id: string
  readonly n: number
  readonly title: string
  readonly about: string
  readonly questions: number
  readonly isNewer: number
}

interface OwnRow {
  readonly content: string
  readonly n: number
  readonly isNewer: number
  readonly revision: number
  readonly binnedAt: string | null
  readonly at: string | null
}

function toListed({ id, n, title, about, questions }: ListedRow) {
  return { id, n, questions, title: JSON.parse(title), about: JSON.parse(about) }
}
