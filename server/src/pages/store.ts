// Pages in the database: the author's own list, and what was published for whoever may look.
import type { Viewer } from '@valise/core/access'
import { upgradeDocument } from '@valise/core/pages'
import type { PageDocument, PageList, PageRow, Published, Shown, Use } from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { accessScope } from '../access/index.ts'
import { countRows, newestFirst, toCursor } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'
import { sealedFilesOf } from '../evidence/index.ts'

export type PageShelf = 'live' | 'bin'

/** Lists one page of an owner's pages: last changed first, or last binned first. */
export async function listPages(
  reader: Reader,
  actor: PersonActor,
  shelf: PageShelf,
  wish: PageWish,
): Promise<PageList> {
  const time = shelf === 'live' ? 'changedAt' : 'binnedAt'
  const onShelf = ownPages(reader, actor).modify((q) =>
    shelf === 'live' ? q.whereNull('binnedAt') : q.whereNotNull('binnedAt'),
  )
  const rows: PageRecord[] = await newestFirst(withRevision(onShelf.clone()), ['pages', time], wish)
  const items = rows.slice(0, wish.limit).map(toPageRow)
  const last = items.at(-1)
  const lastAt = shelf === 'live' ? last?.changedAt : last?.binnedAt
  return {
    items,
    next: rows.length > wish.limit && last && lastAt ? toCursor([lastAt, last.id]) : null,
    count: await countRows(onShelf),
  }
}

export function countPages(reader: Reader, actor: PersonActor): Promise<number> {
  return countRows(ownPages(reader, actor).whereNull('binnedAt'))
}

export interface PageHead extends PageRow {
  readonly published: number | null
}

export async function findPage(reader: Reader, actor: PersonActor, id: string): Promise<PageHead | null> {
  const own = ownPages(reader, actor).where('pages.id', id)
  const row: PageRecord | undefined = await withRevision(own).first()
  return row ? { ...toPageRow(row), published: row.published } : null
}

export async function insertPage(trx: Trx, actor: PersonActor, id: string, title: string): Promise<void> {
  await trx.sql('pages').insert({
    id,
    ownerId: actor.personId,
    title,
    published: null,
    publishedAt: null,
    publishedRevision: null,
    changedAt: trx.now,
    binnedAt: null,
  })
}

interface PageColumns {
  readonly title?: string
  readonly changedAt?: Instant
  readonly binnedAt?: Instant | null
  readonly published?: number
  readonly publishedAt?: Instant
  readonly publishedRevision?: number
}

export async function updatePage(trx: Trx, id: string, columns: PageColumns): Promise<void> {
  await trx.sql('pages').where({ id }).update(columns)
}

/** Lists the pages whose days in the bin are over. */
export async function listPagesBinnedBefore(reader: Reader, before: Instant): Promise<string[]> {
  const rows = await reader.sql('pages').where('binnedAt', '<=', before).select('id').orderBy('id')
  return rows.map(({ id }) => id)
}

export interface PublishedPage extends Published {
  readonly title: string
  readonly html: string
  readonly draftRevision: number
}

export async function insertPublished(
  trx: Trx,
  pageId: string,
  { document, shown, ...row }: PublishedPage,
): Promise<void> {
  await trx.sql('publishedPages').insert({
    pageId,
    ...row,
    document: JSON.stringify(document),
    shown: JSON.stringify(shown),
  })
}

/** Finds a page that the viewer may look at: its owner and published version. */
export async function findSeenPage(
  reader: Reader,
  viewer: Viewer,
  id: string,
): Promise<{ readonly id: string; readonly ownerId: string; readonly published: number | null } | null> {
  const row = await reader
    .sql('pages')
    .where('pages.id', id)
    .whereNull('pages.binnedAt')
    .modify(accessScope(reader, viewer, 'pages'))
    .first('id', 'ownerId', 'published')
  return row ?? null
}

/** Returns a published version. The caller has checked access. */
export async function findPublished(
  reader: Reader,
  pageId: string,
  n: number,
): Promise<PublishedPage | null> {
  const row = await reader.sql('publishedPages').where({ pageId, n }).first()
  if (!row) return null
  const { title, html, draftRevision } = row
  return { ...toPublished(row), title, html, draftRevision }
}

/** Lists one's own pages with their published versions, binned or not. */
export async function listOwnPages(
  reader: Reader,
  actor: PersonActor,
  ids: readonly string[],
): Promise<(PageRow & { readonly published: Published | null })[]> {
  const rows: PageRecord[] = await withRevision(
    ownPages(reader, actor).whereIn('pages.id', [...ids]),
  ).orderBy('pages.id')
  const published: PublishedRecord[] = await reader
    .sql('publishedPages')
    .join('pages', (join) =>
      join.on('pages.id', 'publishedPages.pageId').andOn('pages.published', 'publishedPages.n'),
    )
    .whereIn('pages.id', [...ids])
    .where('pages.ownerId', actor.personId)
    .orderBy('pages.id')
    .select('publishedPages.*')
  return rows.map((row) => {
    const copy = published.find(({ pageId }) => pageId === row.id)
    return { ...toPageRow(row), published: copy ? toPublished(copy) : null }
  })
}

/** Lists the collections that contain a page and that the viewer may look at; nested ones come last. */
export async function listCollectionsAround(
  reader: Reader,
  viewer: Viewer,
  pageId: string,
): Promise<string[]> {
  const { sql } = reader
  const rows: { id: string }[] = await sql('collections')
    .whereIn('collections.id', sql('reach').where({ thingId: pageId }).select('containerId'))
    .whereNull('collections.binnedAt')
    .modify(accessScope(reader, viewer, 'collections'))
    .orderBy('collections.id')
    .select('collections.id')
  const ids = rows.map(({ id }) => id)
  const inner: { thingId: string }[] = await sql('reach')
    .whereIn('containerId', ids)
    .whereIn('thingId', ids)
    .select('thingId')
  const isInner = (id: string) => inner.some(({ thingId }) => thingId === id)
  return [...ids.filter((id) => !isInner(id)), ...ids.filter(isInner)]
}

/** Records which evidence the published version of a page shows. */
export async function replacePublishedEvidence(
  trx: Trx,
  pageId: string,
  evidenceIds: readonly string[],
): Promise<void> {
  await trx.sql('publishedEvidence').where({ pageId }).delete()
  if (evidenceIds.length > 0)
    await trx.sql('publishedEvidence').insert(evidenceIds.map((evidenceId) => ({ pageId, evidenceId })))
}

/** Lists which of these things are gone or in the bin, and so no longer shown. */
export async function listWithheld(
  reader: Reader,
  table: 'evidence' | 'logEntries',
  ids: readonly string[],
): Promise<Set<string>> {
  if (ids.length === 0) return new Set()
  const rows = await reader.sql(table).whereIn('id', ids).whereNull('binnedAt').select('id')
  const there = new Set(rows.map(({ id }) => id))
  return new Set(ids.filter((id) => !there.has(id)))
}

/** Lists which of the versions have renditions. */
export async function listMade<T extends { readonly id: string; readonly n: number }>(
  reader: Reader,
  versions: readonly T[],
): Promise<T[]> {
  if (versions.length === 0) return []
  const ids = versions.map(({ id }) => id)
  const rows = await reader
    .sql('evidenceVersions')
    .whereIn('evidenceId', ids)
    .where({ preview: 'there' })
    .select('evidenceId', 'n')
  return versions.filter(({ id, n }) => rows.some((row) => row.evidenceId === id && row.n === n))
}

/** Returns whether a page is in a collection, or has a pass. */
export async function isReferredTo({ sql }: Reader, id: string): Promise<boolean> {
  const [held] = await sql('collectionItems').where({ pageId: id }).select('id').limit(1)
  const [pass] = await sql('passes').where({ pageId: id }).select('id').limit(1)
  return held !== undefined || pass !== undefined
}

/**
 * Lists one's own pages, entries and collages that show an item, and the submissions whose sealed copy contains it.
 */
export async function listUses(reader: Reader, actor: PersonActor, evidenceId: string): Promise<Use[]> {
  const usesIn = (table: 'pages' | 'logEntries') =>
    reader
      .sql('draftEvidence')
      .join(table, `${table}.id`, 'draftEvidence.draftId')
      .where({ evidenceId, ownerId: actor.personId })
      .whereNull('binnedAt')
      .orderBy([`${table}.title`, `${table}.id`])
      .select(`${table}.id`, `${table}.title`)
      .limit(100)
  const pages = await usesIn('pages')
  const entries = await usesIn('logEntries')
  const collages = await reader
    .sql('collagePictures')
    .join('evidence', 'evidence.id', 'collagePictures.collageId')
    .where({ pictureId: evidenceId, ownerId: actor.personId })
    .whereRaw('?? = ??', ['collagePictures.n', 'evidence.currentVersion'])
    .whereNull('binnedAt')
    .orderBy(['evidence.title', 'evidence.id'])
    .distinct('evidence.id', 'evidence.title')
    .limit(100)
  const toUse = (kind: 'page' | 'entry' | 'collage') => (row: { id: string; title: string }) => ({
    kind,
    ...row,
  })
  const submissions = await listSubmissionsWith(reader, actor, evidenceId)
  return [
    ...pages.map(toUse('page')),
    ...entries.map(toUse('entry')),
    ...collages.map(toUse('collage')),
    ...submissions,
  ]
}

async function listSubmissionsWith(reader: Reader, actor: PersonActor, evidenceId: string): Promise<Use[]> {
  const { sql } = reader
  const asPart = sql('submissionParts')
    .where({ kind: 'evidence', thingId: evidenceId })
    .select('submissionId')
  // Where a page that was handed in shows it, the copy keeps its file.
  const onPage = sealedFilesOf(reader, actor.personId, evidenceId).select('submissionId')
  const rows: { id: string; title: string }[] = await sql('submissions')
    .join('assignments', 'assignments.id', 'submissions.assignmentId')
    .where({ 'submissions.ownerId': actor.personId })
    .where((q) => q.whereIn('submissions.id', asPart).orWhereIn('submissions.id', onPage))
    .orderBy('submissions.id', 'desc')
    .select('submissions.id', 'assignments.title')
    .limit(100)
  return rows.map(({ id, title }) => ({ kind: 'submission', id, title: JSON.parse(title) }))
}

interface PublishedRecord {
  readonly pageId: string
  readonly n: number
  readonly at: Instant
  readonly document: string
  readonly shown: string
}

function toPublished({ n, at, ...row }: PublishedRecord): Published {
  const document: PageDocument = upgradeDocument(JSON.parse(row.document))
  const shown: Shown = JSON.parse(row.shown)
  return { n, at, document, shown }
}

interface PageRecord extends PageRow {
  readonly published: number | null
  readonly publishedRevision: number | null
  readonly revision: number
}

/** The one way in: nothing of anybody else is ever read. */
function ownPages(reader: Reader, actor: PersonActor): Knex.QueryBuilder {
  return reader.sql('pages').where('pages.ownerId', actor.personId)
}

function withRevision(pages: Knex.QueryBuilder): Knex.QueryBuilder {
  return pages.join('drafts', 'drafts.id', 'pages.id').select('pages.*', 'drafts.revision')
}

function toPageRow(row: PageRecord): PageRow {
  return {
    id: row.id,
    title: row.title,
    changedAt: row.changedAt,
    publishedAt: row.publishedAt,
    isNewer: row.publishedRevision === null || row.publishedRevision < row.revision,
    binnedAt: row.binnedAt,
  }
}
