// Pages in the database: the author's own list, and what was published for whoever may look.
import type { Viewer } from '@valise/core/access'
import { upgradeDocument } from '@valise/core/pages'
import type {
  HandOut,
  PageDocument,
  PageList,
  PageRow,
  Published,
  PublishedHandOut,
  Shown,
} from '@valise/core/pages'
import type { PersonActor } from '@valise/core/people'
import type { Instant } from '@valise/core/time'
import type { Knex } from 'knex'
import { accessScope } from '../access/index.ts'
import { isOneOf } from '../database/index.ts'
import type { PageWish, Reader, Trx } from '../database/index.ts'
import { listShelf, ownThings } from '../things/index.ts'

/** Lists one page of an owner's pages, last changed first. */
export async function listPages(reader: Reader, actor: PersonActor, wish: PageWish): Promise<PageList> {
  const live = ownThings(reader, actor).where({ kind: 'page', 'things.isBinned': 0 })
  const shelf = await listShelf<PageRecord>(live, withRevision, 'changedAt', wish)
  return { ...shelf, items: shelf.items.map(toPageRow) }
}

export interface PageHead extends PageRow {
  readonly published: number | null
}

export async function findPage(reader: Reader, actor: PersonActor, id: string): Promise<PageHead | null> {
  const row: PageRecord | undefined = await ownPages(reader, actor).where('things.id', id).first()
  return row ? { ...toPageRow(row), published: row.published } : null
}

/** Inserts the page of a thing that is there already. */
export async function insertPage(trx: Trx, actor: PersonActor, id: string): Promise<void> {
  await trx.sql('pages').insert({
    ...{ id, ownerId: actor.personId, isBinned: 0 },
    published: null,
    publishedAt: null,
    publishedRevision: null,
  })
}

interface Publication {
  readonly published: number
  readonly publishedAt: Instant
  readonly publishedRevision: number
}

export async function updatePage(trx: Trx, id: string, publication: Publication): Promise<void> {
  await trx.sql('pages').where({ id }).update(publication)
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
    .join('things', 'things.id', 'pages.id')
    .where({ 'pages.id': id, 'things.isBinned': 0 })
    .modify(accessScope(reader, viewer))
    .first('pages.id', 'pages.ownerId', 'published')
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
  const rows: PageRecord[] = await ownPages(reader, actor)
    .modify(isOneOf, 'things.id', ids)
    .orderBy('things.id')
  const published: PublishedRecord[] = await reader
    .sql('publishedPages')
    .join('pages', (join) =>
      join.on('pages.id', 'publishedPages.pageId').andOn('pages.published', 'publishedPages.n'),
    )
    .modify(isOneOf, 'pages.id', ids)
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
  const rows: { id: string }[] = await sql('things')
    .whereIn('things.id', sql('reach').where({ thingId: pageId }).select('containerId'))
    .where('things.isBinned', 0)
    .modify(accessScope(reader, viewer))
    .orderBy('things.id')
    .select('things.id')
  const ids = rows.map(({ id }) => id)
  const inner: { thingId: string }[] = await sql('reach')
    .modify(isOneOf, 'containerId', ids)
    .modify(isOneOf, 'thingId', ids)
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

/** Where readers of a published page fetch a file. */
export interface HandOutAddress {
  readonly pageId: string
  readonly n: number
  readonly pieceId: string
  readonly name: string
}

export type StoredHandOut = Pick<HandOut, 'what'> & {
  readonly item: Pick<HandOut['item'], 'id' | 'n' | 'look' | 'fileName'>
}

/** Records what a published version hands out, so that no request for a picture has to read the page. */
export async function insertHandOuts(
  trx: Trx,
  page: Pick<HandOutAddress, 'pageId' | 'n'>,
  handOuts: readonly PublishedHandOut[],
): Promise<void> {
  const rows = handOuts.map(({ pieceId, handOut: { name, what, item }, needs }) => ({
    ...{ ...page, pieceId, name, what },
    ...{ evidenceId: item.id, evidenceN: item.n, look: item.look ?? 0, fileName: item.fileName },
    needs: JSON.stringify(needs),
  }))
  if (rows.length > 0) await trx.sql.batchInsert('publishedHandOuts', rows, 100)
}

export async function findHandOut(
  reader: Reader,
  { pageId, n, pieceId, name }: HandOutAddress,
): Promise<{ readonly handOut: StoredHandOut; readonly needs: readonly string[] } | null> {
  const row = await reader.sql('publishedHandOuts').where({ pageId, n, pieceId, name }).first()
  if (!row) return null
  const { what, evidenceId, evidenceN, look, fileName, needs } = row
  return {
    handOut: { what, item: { id: evidenceId, n: evidenceN, look, fileName } },
    needs: JSON.parse(needs),
  }
}

/** Lists which of the versions have renditions. */
export async function listMade<T extends { readonly id: string; readonly n: number }>(
  reader: Reader,
  versions: readonly T[],
): Promise<T[]> {
  if (versions.length === 0) return []
  const ids = versions.map(({ id }) => id)
  const rows: { evidenceId: string; n: number }[] = await reader
    .sql('evidenceVersions')
    .modify(isOneOf, 'evidenceId', ids)
    .where({ preview: 'there' })
    .select('evidenceId', 'n')
  return versions.filter(({ id, n }) => rows.some((row) => row.evidenceId === id && row.n === n))
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
  return ownThings(reader, actor)
    .modify(withRevision)
    .select('things.id', 'things.title', 'things.changedAt', 'things.binnedAt')
}

function withRevision(things: Knex.QueryBuilder): void {
  things
    .join('pages', 'pages.id', 'things.id')
    .join('drafts', 'drafts.id', 'pages.id')
    .select('published', 'publishedAt', 'publishedRevision', 'drafts.revision')
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
