// Pages: beginning one, editing its draft, publishing it.
import type { ReadPage, Viewer } from '@valise/core/access'
import { isShownAsPicture } from '@valise/core/evidence'
import {
  listPublishedHandOuts,
  newDocument,
  placedPieces,
  renderPage,
  thingsShown,
  withhold,
} from '@valise/core/pages'
import type { NewPage, Page, PageDocument, PageView, Shown, ShownEvidence } from '@valise/core/pages'
import { toPlainLine } from '@valise/core/people'
import type { PersonActor } from '@valise/core/people'
import { AppError } from '@valise/core/problems'
import { getReaderFacts, refusalFor } from '../access/index.ts'
import { inTransaction } from '../database/index.ts'
import type { Reader, Writable } from '../database/index.ts'
import { createDraft, getDraft, getPresentDraft, resolveShown } from '../drafts/index.ts'
import { listPicturesOfCollages } from '../evidence/index.ts'
import type { DraftRoom } from '../drafts/index.ts'
import { inOwnersTransaction, insertThing, listWithheld, noteDraft } from '../things/index.ts'
import * as store from './store.ts'
import type { PageHead, PublishedPage, StoredHandOut } from './store.ts'

export function createPage(
  on: Writable,
  actor: PersonActor,
  { title, lang }: NewPage,
  rows: PageDocument['rows'] = [],
): Promise<Page> {
  return inTransaction(on, async (trx) => {
    const id = trx.newId()
    const document = newDocument(toPlainLine(title), lang, rows)
    await insertThing(trx, { id, kind: 'page', ownerId: actor.personId, title: document.title })
    await createDraft(trx, actor, id, document)
    await store.insertPage(trx, actor, id)
    return getPage(trx, actor, id)
  })
}

export async function getPage(reader: Reader, actor: PersonActor, id: string): Promise<Page> {
  const head = await getHead(reader, actor, id)
  const draft = await getDraft(reader, actor, id)
  const published = head.published === null ? null : await store.findPublished(reader, id, head.published)
  return {
    id,
    draft,
    published: published && {
      n: published.n,
      at: published.at,
      document: published.document,
      shown: published.shown,
    },
    binnedAt: head.binnedAt,
  }
}

/** Pages as a room of drafts: their lists show the title and the last change. */
export const pageRoom: DraftRoom = {
  assertWritable: getStored,
  usesShown: true,
  noteChange: (trx, id, { title }) => noteDraft(trx, id, title),
}

/** Publishes the draft: what its author sees becomes what others see, resolved, rendered and immutable. */
export function publishPage(on: Writable, actor: PersonActor, id: string, revision: number): Promise<Page> {
  return inOwnersTransaction(on, actor.personId, async (trx) => {
    const head = await getStored(trx, actor, id)
    const draft = await getPresentDraft(trx, actor, id)
    // What is published is what its author last saw.
    if (draft.revision !== revision) throw new AppError('stale', 'stale')
    if (placedPieces(draft.document).length === 0) throw new AppError('conflict', 'empty-page')
    const shown = await resolveShown(trx, actor, draft.document)
    const n = (head.published ?? 0) + 1
    const { document } = draft
    const html = renderPage(document, publishedView(id, n, document, shown))
    const published = {
      n,
      at: trx.now,
      document,
      shown,
      html,
      title: document.title,
      draftRevision: revision,
    }
    await store.insertPublished(trx, id, published)
    await store.insertHandOuts(trx, { pageId: id, n }, listPublishedHandOuts(document, shown))
    await store.replacePublishedEvidence(trx, id, await listSeenOn(trx, shown))
    await store.updatePage(trx, id, { published: n, publishedAt: trx.now, publishedRevision: revision })
    return getPage(trx, actor, id)
  })
}

/**
 * Returns a published page for a viewer, as `shownToday` resolves it.
 *
 * @throws AppError `not-found` without access, as for a missing one; see `refusalFor`
 */
export async function readPage(reader: Reader, viewer: Viewer, id: string): Promise<ReadPage> {
  const seen = await store.findSeenPage(reader, viewer, id)
  if (!seen) throw await refusalFor(reader, viewer, id)
  const published = seen.published === null ? null : await store.findPublished(reader, id, seen.published)
  if (!published) throw new AppError('not-found', 'not-found')
  const { n, at, title, document } = published
  const shown = await shownToday(reader, published)
  const html =
    shown === published.shown
      ? published.html
      : renderPage(document, publishedView(id, published.n, document, shown))
  return {
    ...{ id, n, at, title, lang: document.lang, html },
    ...(await getReaderFacts(reader, viewer, seen)),
    collections: await store.listCollectionsAround(reader, viewer, id),
  }
}

export interface PublishedFile {
  readonly ownerId: string
  readonly handOut: StoredHandOut
}

/**
 * Finds a file that a piece of a published page hands out to its readers; null without access, while the item is
 * withheld, or where the piece hands out no such file. Others see only the current published version.
 */
export async function findPublishedFile(
  reader: Reader,
  viewer: Viewer,
  wanted: store.HandOutAddress,
): Promise<PublishedFile | null> {
  const seen = await store.findSeenPage(reader, viewer, wanted.pageId)
  if (!seen) return null
  const isMine = viewer.kind === 'person' && viewer.personId === seen.ownerId
  if (!isMine && wanted.n !== seen.published) return null
  const found = await store.findHandOut(reader, wanted)
  if (!found || (await listWithheld(reader, found.needs)).size > 0) return null
  return { ownerId: seen.ownerId, handOut: found.handOut }
}

async function getHead(reader: Reader, actor: PersonActor, id: string): Promise<PageHead> {
  const head = await store.findPage(reader, actor, id)
  if (!head) throw new AppError('not-found', 'not-found')
  return head
}

async function getStored(reader: Reader, actor: PersonActor, id: string): Promise<PageHead> {
  const head = await getHead(reader, actor, id)
  if (head.binnedAt !== null) throw new AppError('conflict', 'in-the-bin')
  return head
}

/**
 * What a published page shows today: without what its author put into the bin since, and with the pictures that were
 * still being made when it was published. The same as was published where there is neither.
 */
async function shownToday(reader: Reader, { shown }: PublishedPage): Promise<Shown> {
  const gone = await listWithheld(reader, thingsShown(shown))
  const late = await store.listMade(
    reader,
    Object.values(shown.evidence).filter(({ kind, hasPicture }) => isShownAsPicture(kind) && !hasPicture),
  )
  if (gone.size + late.length === 0) return shown
  const { evidence, entries } = withhold(shown, gone)
  const isMade = ({ id, n }: ShownEvidence) => late.some((one) => one.id === id && one.n === n)
  const withPicture = Object.entries(evidence).map(([key, item]) => [
    key,
    isMade(item) ? { ...item, hasPicture: true } : item,
  ])
  return { evidence: Object.fromEntries(withPicture), entries }
}

/** All that is seen or heard on a page: its items, the pictures in its collages, the voices that speak of them. */
async function listSeenOn(reader: Reader, { evidence }: Shown): Promise<string[]> {
  const items = Object.values(evidence)
  const collages = items.filter(({ kind }) => kind === 'collage')
  const within = await listPicturesOfCollages(
    reader,
    collages.map(({ id, n }) => ({ evidenceId: id, n })),
  )
  const voices = items.flatMap((item) => item.voices ?? [])
  return [...new Set([...items, ...within, ...voices].map(({ id }) => id))]
}

/** Renditions and files are fetched through the page, so that whoever may see it sees them, and nobody else. */
function publishedView(pageId: string, n: number, { lang }: PageDocument, shown: Shown): PageView {
  return {
    shown,
    lang,
    address: (pieceId, { name }) => `/api/pages/${pageId}/published/${n}/pieces/${pieceId}/${name}`,
  }
}
