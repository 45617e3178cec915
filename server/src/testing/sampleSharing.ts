// Many pages for tests of lists: one's own in a collection with a link each, and others' that were opened to one.
import { newDocument } from '@valise/core/pages'
import type { Trx } from '../database/index.ts'
import { insertThing } from '../things/index.ts'

export interface SampleSharing {
  readonly n: number
  /** Whose lists grow: even pages are theirs, odd ones are opened to them. */
  readonly personId: string
  readonly otherId: string
  /** The collection that their own pages lie in. */
  readonly containerId: string
}

/** Inserts the collection of the owner's pages, before the first of them. */
export async function insertSampleCollection(trx: Trx, ownerId: string): Promise<string> {
  const id = trx.newId()
  await insertThing(trx, { id, kind: 'collection', ownerId, title: 'All' })
  await trx.sql('collections').insert({ id, ownerId, createdAt: trx.now })
  return id
}

export async function insertSampleSharing(
  trx: Trx,
  { n, personId, otherId, containerId }: SampleSharing,
): Promise<void> {
  const { sql, now } = trx
  const isOwn = n % 2 === 0
  const ownerId = isOwn ? personId : otherId
  const id = trx.newId()
  const document = JSON.stringify(newDocument(`Page ${n}`, 'en'))
  const title = `Page ${n}`
  await insertThing(trx, { id, kind: 'page', ownerId, title })
  const draft = { id, revision: 1, checkpoint: document, checkpointRevision: 1 }
  await sql('drafts').insert({ ...draft, createdAt: now })
  const published = { published: 1, publishedAt: now, publishedRevision: 1 }
  await sql('pages').insert({ id, ownerId, ...published })
  const shown = JSON.stringify({ evidence: {}, entries: {} })
  await sql('publishedPages').insert({
    pageId: id,
    n: 1,
    title,
    document,
    shown,
    html: '',
    draftRevision: 1,
    at: now,
  })
  await sql('passes').insert({
    ...{ id: trx.newId(), ownerId, thingId: id, audience: isOwn ? 'link' : 'person' },
    personId: isOwn ? null : personId,
    linkName: isOwn ? title : null,
    ...{ generation: 1, mayComment: 0, mayCopy: 0, fromAt: now, createdAt: now, revision: 1 },
  })
  if (!isOwn) return
  const itemId = trx.newId()
  const place = { id: itemId, collectionId: containerId, position: n, thingId: id, isHidden: 0 }
  await sql('collectionItems').insert(place)
  await sql('reach').insert({ ownerId, containerId, thingId: id, itemId })
}
